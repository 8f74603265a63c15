import { recordOf } from '../base'
import { type Joint, JOINT_TABLE, JOINTS } from '../plan/catalogue'

/** Names of joints as they stand in a sentence; by themselves, because the phone shows them and no other sentence of these. */
export const JOINT_NAMES: Readonly<Record<Joint, string>> = recordOf(
  JOINTS,
  joint => JOINT_TABLE[joint].name,
)
