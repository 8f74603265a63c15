import { recordOf } from '../../../base'
import type { Credits, HeadShares, Intent } from '../exercise'
import { type Joint, JOINTS } from '../joints'

type Stress = Intent['jointStress'][Joint]

/** Writes one intent on two lines of a data table; a joint that is not named bears nothing. */
export function intent(
  id: string, name: string, how: string, lengthBias: Intent['lengthBias'],
  stresses: Readonly<Partial<Record<Joint, Stress>>>, credits: Credits, headShares: HeadShares,
): Intent {
  return { id, name, how, credits, headShares, lengthBias, jointStress: recordOf(JOINTS, joint => stresses[joint] ?? 0) }
}
