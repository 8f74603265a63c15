import type { GroupingId, SlotId } from '#core/base'
import type { TimeSpan } from '#core/plan/minutes'
import type { Grouping } from '#core/plan/session'

/** A set on the strip; px. */
export interface StripSet {
  readonly x: number
  readonly width: number
  readonly seconds: number
  readonly isWarmUp: boolean
}
/** One exercise of a plank, in the lane it is done in. */
export interface StripLane {
  readonly slot: SlotId
  readonly y: number
  readonly sets: readonly StripSet[]
  readonly from: number
  readonly to: number
}
/** Lines between partners: solid for the change, dashed for the rest after a round. */
export interface StripLace {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
  readonly isRest: boolean
}
export interface StripPlank {
  readonly grouping: GroupingId
  readonly x: number
  readonly width: number
  readonly lanes: readonly StripLane[]
  readonly laces: readonly StripLace[]
}
export interface StripTick {
  readonly x: number
  readonly minute: number
}

export interface StripLayout {
  readonly width: number
  readonly height: number
  readonly pxPerMinute: number
  readonly preparation: { readonly x: number; readonly width: number }
  readonly planks: readonly StripPlank[]
  readonly ticks: readonly StripTick[]
  readonly end: number
  readonly limit: number | null
}

/** Lanes of partners stand so far apart; a single exercise takes the middle. */
export const LANE = 46
export const PEG_HEIGHT = 26
const ROOM = 4 / 3
const TICK_MINUTES = 5
const LEAST_MINUTES = 20

/** Minutes the ruler shows: the limit and a third, or the session itself if it is longer; whole steps. */
export function shownMinutes(seconds: number, limitMinutes: number | null): number {
  const wanted = Math.max(LEAST_MINUTES, (limitMinutes ?? 0) * ROOM, (seconds / 60) * 1.04)
  return Math.ceil(wanted / TICK_MINUTES) * TICK_MINUTES
}

function lanesOf(grouping: Grouping, lanes: number): number {
  return grouping.kind === 'straight' ? 1 : Math.min(lanes, grouping.slots.length)
}

function laneY(at: number, own: number, lanes: number): number {
  return ((lanes - own) / 2 + at) * LANE + LANE
}

interface Scale {
  readonly toX: (seconds: number) => number
}

function plankOf(
  grouping: Grouping,
  spans: readonly TimeSpan[],
  lanes: number,
  { toX }: Scale,
): StripPlank {
  const [first] = spans
  const last = spans.at(-1)
  const own = lanesOf(grouping, lanes)
  const yOf = (slot: SlotId) =>
    laneY(
      grouping.kind === 'straight'
        ? 0
        : Math.min(
            own - 1,
            grouping.slots.findIndex(({ id }) => id === slot),
          ),
      own,
      lanes,
    )
  const laneOf = (slot: SlotId): StripLane => {
    const sets = spans
      .filter(span => span.slot === slot && (span.kind === 'set' || span.kind === 'warmup'))
      .map(({ start, seconds, kind }): StripSet => ({
        x: toX(start),
        width: toX(seconds),
        seconds,
        isWarmUp: kind === 'warmup',
      }))
    return {
      slot,
      y: yOf(slot),
      sets,
      from: sets[0]?.x ?? toX(first?.start ?? 0),
      to: sets.reduce((end, { x, width }) => Math.max(end, x + width), 0),
    }
  }
  const worked = spans.filter(
    (span): span is TimeSpan & { slot: SlotId } => span.kind === 'set' && span.slot !== undefined,
  )
  const laces =
    grouping.kind === 'straight'
      ? []
      : worked.slice(1).flatMap((span, at): StripLace[] => {
          const before = worked[at]
          if (!before || before.slot === span.slot) return []
          const isRest = spans.some(
            ({ kind, start }) => kind === 'rest' && start >= before.start && start < span.start,
          )
          return [
            {
              x1: toX(before.start + before.seconds),
              y1: yOf(before.slot),
              x2: toX(span.start),
              y2: yOf(span.slot),
              isRest,
            },
          ]
        })
  const x = toX(first?.start ?? 0)
  return {
    grouping: grouping.id,
    x,
    width: toX((last?.start ?? 0) + (last?.seconds ?? 0)) - x,
    lanes: grouping.slots.map(({ id }) => laneOf(id)),
    laces,
  }
}

/** Places everything of a session on a strip drawn to scale. Units: px; the scale follows the limit. */
export function sessionStripLayout(
  groupings: readonly Grouping[],
  spans: readonly TimeSpan[],
  width: number,
  limitMinutes: number | null,
): StripLayout {
  const seconds = spans.reduce((end, span) => Math.max(end, span.start + span.seconds), 0)
  const minutes = shownMinutes(seconds, limitMinutes)
  const pxPerMinute = width / minutes
  const toX = (value: number) => (value / 60) * pxPerMinute
  const lanes = Math.max(
    1,
    ...groupings.map(({ kind, slots }) => (kind === 'straight' ? 1 : slots.length)),
  )
  const preparation = spans
    .filter(({ kind }) => kind === 'preparation')
    .reduce((sum, span) => sum + span.seconds, 0)
  const step = minutes > 100 ? TICK_MINUTES * 2 : TICK_MINUTES
  return {
    width,
    height: (lanes + 1) * LANE,
    pxPerMinute,
    preparation: { x: 0, width: toX(preparation) },
    planks: groupings.flatMap(grouping => {
      const own = spans.filter(span => span.grouping === grouping.id)
      return own.length > 0 ? [plankOf(grouping, own, lanes, { toX })] : []
    }),
    ticks: Array.from({ length: Math.floor(minutes / step) + 1 }, (_, at) => ({
      x: toX(at * step * 60),
      minute: at * step,
    })),
    end: toX(seconds),
    limit: limitMinutes === null ? null : toX(limitMinutes * 60),
  }
}
