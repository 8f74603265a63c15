import { addDays, daysBetween, type PlainDate } from '../../base'
import { PAIN_LEVELS } from '../../plan/method'
import { type Adjustment, adjustmentKey } from '../review'
import type { Need } from '../roster'

/* Reviews one client after the other: who stands in the queue, what for, and in which order. */

/** What a client can stand in the queue for, the most pressing first. */
export const QUEUE_KINDS = ['pain', 'missed', 'proposals', 'ended'] as const
export type QueueKind = (typeof QUEUE_KINDS)[number]

/** One thing to look at; the key tells it from every other, so that what was looked at does not come again. */
export interface QueueItem {
  readonly kind: QueueKind
  readonly key: string
}

/** The rotation that is looked back at. */
export interface QueueRotation {
  readonly block: string
  readonly pass: number
  readonly to: PlainDate
}

export interface QueueFacts {
  readonly today: PlainDate
  readonly needs: readonly Need[]
  /** Null where nothing of the block was sent yet. */
  readonly rotation: QueueRotation | null
  /** Proposals nobody has decided about. */
  readonly open: readonly Adjustment[]
}

/** Proposals to decide about: not those for later, nor muscles that go on as planned. */
export const toDecide = (open: readonly Adjustment[]): readonly Adjustment[] =>
  open.filter(({ change, isWaiting }) => change.kind !== 'go_on' && !isWaiting)

/**
 * Everything a client stands in the queue for, the most pressing first.
 *
 * Edge:   proposals count once their rotation is over: before that its log is not whole.
 * Source: docs/methods.md#queue.
 */
export function queueItems({ today, needs, rotation, open }: QueueFacts): readonly QueueItem[] {
  const named = needs.flatMap((need): QueueItem[] => {
    if (need.kind === 'pain') {
      const { joint, side, level, score, on } = need
      return [{ kind: 'pain', key: ['pain', joint, side, level, score, on].join(' ') }]
    }
    return need.kind === 'missed_session' ? [{ kind: 'missed', key: `missed ${need.session}` }] : []
  })
  if (!rotation || rotation.to >= today) return named
  const of = `${rotation.block} ${rotation.pass}`
  return [
    ...named,
    ...toDecide(open).map(one => ({
      kind: 'proposals' as const,
      key: `proposal ${of} ${adjustmentKey(one)}`,
    })),
    { kind: 'ended', key: `ended ${of}` },
  ]
}

/** What was not looked at yet. */
export const unseen = (
  items: readonly QueueItem[],
  seen: readonly string[],
): readonly QueueItem[] => items.filter(({ key }) => !seen.includes(key))

/**
 * Which rotation to look back at: that of the oldest missed session, else the one that ended last.
 *
 * Shape: from 0; null where none has ended: the latest is as good as any.
 */
export function passToReview(
  block: { readonly startsOn: PlainDate; readonly lengthDays: number; readonly passes: number },
  missed: readonly number[],
  today: PlainDate,
): number | null {
  if (missed.length > 0) return Math.min(...missed)
  const ended = Math.floor(daysBetween(block.startsOn, today) / block.lengthDays) - 1
  return ended < 0 ? null : Math.min(ended, block.passes - 1)
}

/** The day a rotation of a block ends as planned. */
export const passEnd = (
  block: { readonly startsOn: PlainDate; readonly lengthDays: number },
  pass: number,
): PlainDate => addDays(block.startsOn, (pass + 1) * block.lengthDays - 1)

interface Placed {
  readonly items: readonly QueueItem[]
  readonly needs: readonly Need[]
  readonly name: string
}

/** Worst first: pain by its level, missed sessions by their number, then proposals, then what only ended. */
export function byQueue(a: Placed, b: Placed): number {
  const [x, y] = [weight(a), weight(b)]
  const at = x.findIndex((value, n) => value !== y[n])
  return at < 0 ? (a.name < b.name ? -1 : Number(a.name > b.name)) : y[at]! - x[at]!
}

function weight({ items, needs }: Placed): readonly number[] {
  const count = (kind: QueueKind) => items.filter(one => one.kind === kind).length
  const [pain] = needs.flatMap(need => (need.kind === 'pain' ? [need] : []))
  const hurts = count('pain') > 0 && pain
  return [
    hurts ? 1 + PAIN_LEVELS.indexOf(pain.level) : 0,
    hurts ? pain.score : 0,
    count('missed'),
    count('proposals'),
  ]
}

/** What came of a pass through the queue. Shape: `changed` and `sent` count clients, not changes. */
export function queueSum(
  behind: readonly { readonly changed: number; readonly isSent: boolean }[],
): { readonly reviewed: number; readonly changed: number; readonly sent: number } {
  return {
    reviewed: behind.length,
    changed: behind.filter(({ changed }) => changed > 0).length,
    sent: behind.filter(({ isSent }) => isSent).length,
  }
}
