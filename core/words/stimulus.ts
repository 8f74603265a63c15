import { type Exercise, type Footing, type Resistance, stimulusOf } from '../plan/catalogue'

const RESISTANCE_WORDS: Readonly<Record<Resistance, string>> = {
  cable: 'cable: an even pull through the whole range',
  guided: 'guided: nothing to balance, so the muscle gives out first',
  band: 'band: light at the start, hardest at the end',
  own_weight: 'own weight: changed by what is added or taken off',
  free: 'free weight: heaviest where it is farthest from the joint, and balance takes part',
}
const FOOTING_WORDS: Readonly<Record<Footing, string>> = {
  supported: 'supported: the trunk cannot help',
  standing: 'standing: the trunk works along and may swing',
}
const ONE_SIDED = 'one side at a time: neither can help the other, and it takes twice as long'

type Told = Parameters<typeof stimulusOf>[0]

/** What an exercise asks besides its muscles, in a few words each. */
export function stimulusWords(exercise: Told): readonly string[] {
  const { resistance, footing, isOneSided } = stimulusOf(exercise)
  return [
    RESISTANCE_WORDS[resistance],
    ...(footing ? [FOOTING_WORDS[footing]] : []),
    ...(isOneSided ? [ONE_SIDED] : []),
  ]
}

/** What of it is new when one exercise stands in for another. */
export function newStimulusWords(
  before: Told,
  after: Pick<Exercise, keyof Told>,
): readonly string[] {
  const known = new Set(stimulusWords(before))
  return stimulusWords(after).filter(words => !known.has(words))
}
