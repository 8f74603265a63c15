import type { Credits, HeadShares, Intent, Joint } from '../exercise'
import { JOINTS } from '../exercise'

type Stress = Intent['jointStress'][Joint]

/** Writes one intent on two lines of a data table; stresses come in the order of JOINTS. */
export function intent(
  id: string, name: string, how: string, lengthBias: Intent['lengthBias'],
  stresses: readonly [Stress, Stress, Stress, Stress, Stress], credits: Credits, headShares: HeadShares,
): Intent {
  const jointStress = Object.fromEntries(JOINTS.map((joint, at) => [joint, stresses[at]])) as Intent['jointStress']
  return { id, name, how, credits, headShares, lengthBias, jointStress }
}
