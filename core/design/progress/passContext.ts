import { remembered } from '../../base'
import { modesIn, type BlockPlan } from '../../plan/block'
import type { PlanContext } from '../../plan/method'
import type { BlockPass } from './expand'

const NOTHING = {}
const contextsWith = remembered(
  (_context: PlanContext, _: object) => new Map<string, PlanContext>(),
)

/** The client as a pass takes her: with what is wanted of muscles from then on. The same object where nothing was changed. */
export function passContext(
  context: PlanContext,
  pass: Pick<BlockPass, 'at' | 'held'>,
): PlanContext {
  const block: BlockPlan = { changes: pass.held }
  const modes = modesIn(block, pass.at)
  const key = JSON.stringify(modes)
  if (key === '{}') return context
  const known = contextsWith(context, NOTHING)
  const found = known.get(key)
  if (found) return found
  const { client } = context
  const made = { ...context, client: { ...client, modes: { ...client.modes, ...modes } } }
  known.set(key, made)
  return made
}
