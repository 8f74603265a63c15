import type { Equipment, Exercise } from './exercise'

const UNDER_BAR = ['fail_needs_safety', 'weight_over_face'] as const
/** What can pin somebody down; dumbbells are let go to the sides. */
const BARS: readonly Equipment[] = ['barbell', 'cambered_bar']

/** Whether a rep that fails leaves somebody under a bar: pressed over the body, over the face, or on the back. */
export function canPin({ pattern, equipment, cautions }: Exercise): boolean {
  const isOnBack = pattern === 'squat' && equipment.includes('barbell')
  return (
    equipment.some(piece => BARS.includes(piece)) &&
    (isOnBack || UNDER_BAR.some(caution => cautions.includes(caution)))
  )
}
