import type { PlainDate } from '../base'
import type { NotSafe, QueueItem, QueueKind, QueueRotation } from '../follow/queue'
import type { Adjustment } from '../follow/review'
import type { Need } from '../follow/roster'
import { formatDay } from './dates'
import { JOINT_NAMES } from './joints'
import { needWords } from './needs'
import { adjustmentWords } from './review'
import { capitalised } from './text'
import { PAIN_LEVEL_WORDS } from './trends'

/** What a client stands in the queue for. */
export interface QueueWhy {
  readonly kind: QueueKind
  readonly words: string
}

interface Told {
  readonly items: readonly QueueItem[]
  readonly needs: readonly Need[]
  readonly open: readonly Adjustment[]
  readonly rotation: QueueRotation | null
  readonly today: PlainDate
  readonly nameOf: (exercise: string) => string
}

/** What a client stands in the queue for, each in one line; proposals share one. */
export function queueWhy({
  items,
  needs,
  open,
  rotation,
  today,
  nameOf,
}: Told): readonly QueueWhy[] {
  const has = (kind: QueueKind) => items.some(item => item.kind === kind)
  const headlines = (kind: QueueKind, of: Need['kind']) =>
    has(kind)
      ? needs
          .filter(need => need.kind === of)
          .map(need => ({ kind, words: needWords(need, today).headline }))
      : []
  const [first, ...more] = open
  return [
    ...headlines('pain', 'pain'),
    ...headlines('missed', 'missed_session'),
    ...(has('proposals') && first
      ? [
          {
            kind: 'proposals' as const,
            words: `${adjustmentWords(first, nameOf)}${more.length === 0 ? '' : `, and ${more.length} more`}`,
          },
        ]
      : []),
    ...(has('ended') && rotation
      ? [
          {
            kind: 'ended' as const,
            words: `Rotation ${rotation.pass + 1} ended ${formatDay(rotation.to)}`,
          },
        ]
      : []),
  ]
}

/** Why nothing of a client is taken with the others. */
export function notSafeWords(not: NotSafe): string {
  switch (not.kind) {
    case 'pain':
      return `${capitalised(JOINT_NAMES[not.joint])}: ${PAIN_LEVEL_WORDS[not.level]}`
    case 'missed':
      return 'A missed session comes first'
    case 'evidence':
      return 'The log is not sure enough'
    case 'big':
      return 'More than a small step'
  }
}

/** `2 changed, sent`; `as planned` where nothing was taken. */
export function outcomeWords({
  changed,
  isSent,
}: {
  readonly changed: number
  readonly isSent: boolean
}): string {
  return [changed === 0 ? 'as planned' : `${changed} changed`, ...(isSent ? ['sent'] : [])].join(
    ', ',
  )
}

/** The line at the end: `11 reviewed, 4 changed, 3 sent, 7 minutes`. Units: minutes. */
export function queueSumWords(
  sum: { readonly reviewed: number; readonly changed: number; readonly sent: number },
  minutes: number,
): string {
  const whole = Math.round(minutes)
  return `${sum.reviewed} reviewed, ${sum.changed} changed, ${sum.sent} sent, ${whole} ${whole === 1 ? 'minute' : 'minutes'}`
}
