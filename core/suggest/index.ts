export { rankedChoices } from './rankedChoices'
export type { ChoiceReason, RankedChoice } from './rankedChoices'
