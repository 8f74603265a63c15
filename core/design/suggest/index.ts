export { rankedChoices } from './rankedChoices'
export type { ChoiceReason, RankedChoice } from './rankedChoices'
export {
  editedSession,
  hasWeights,
  standIn,
  stationsOf,
  SWAP_REASONS,
  swapChoices,
  swapEdits,
  swapEverywhere,
  TRAVEL_EQUIPMENT,
} from './swaps'
export type { SwapChoice, SwapQuestion, SwapReason } from './swaps'
