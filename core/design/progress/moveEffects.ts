import type { PlainDate } from '../../base'
import { type Group, GROUPS } from '../../plan/catalogue'
import { modeOf, type PlanContext } from '../../plan/method'
import type { BlockSession, ExpandedBlock } from './expand'
import { blockVerdict, type DatedArrival } from './judge'

/** Points of readiness below which a change is not worth a word, and how many changes are told. */
export const MOVE_EFFECTS = { noticedFrom: 2, most: 4 } as const

export type MoveEffect =
  | { readonly kind: 'day_taken'; readonly on: PlainDate; readonly names: readonly string[] }
  | { readonly kind: 'client_has_it' }
  | { readonly kind: 'past' }
  | { readonly kind: 'same_readiness' }
  | { readonly kind: 'readiness'; readonly arrival: DatedArrival; readonly was: number }

const isSame = (a: BlockSession, b: BlockSession) =>
  a.pass === b.pass && a.day === b.day && a.place === b.place

/** Readiness that a move changes noticeably, the one furthest below what is wanted first. */
function readinessEffects(
  session: BlockSession,
  [before, after]: readonly [ExpandedBlock, ExpandedBlock],
  context: PlanContext,
): readonly (MoveEffect & { readonly kind: 'readiness' })[] {
  const [was, is] = [blockVerdict(before, context).arrivals, blockVerdict(after, context).arrivals]
  const shortBy = ({ required, readiness }: DatedArrival) => required - readiness
  const changesOf = (group: Group) =>
    is[group].flatMap(arrival => {
      const earlier = was[group].find(
        ({ pass, name, on }) =>
          pass === arrival.pass &&
          name === arrival.name &&
          (on === arrival.on || name === session.name),
      )
      return earlier && Math.abs(arrival.readiness - earlier.readiness) >= MOVE_EFFECTS.noticedFrom
        ? [{ kind: 'readiness' as const, arrival, was: earlier.readiness }]
        : []
    })
  return GROUPS.filter(group => modeOf(context, group) !== 'maintain')
    .flatMap(changesOf)
    .sort((a, b) => shortBy(b.arrival) - shortBy(a.arrival))
    .slice(0, MOVE_EFFECTS.most)
}

/**
 * What moving a session of a block to another day changes: who is there already, what the client has to be sent again,
 * and how recovered muscles are then.
 * Source: docs/methods.md#block.
 */
export function moveEffects(
  session: BlockSession,
  to: PlainDate,
  {
    before,
    after,
    today,
    context,
  }: {
    readonly before: ExpandedBlock
    readonly after: ExpandedBlock
    readonly today: PlainDate
    readonly context: PlanContext
  },
): readonly MoveEffect[] {
  if (to === session.on) return []
  const names = before.passes
    .flatMap(({ sessions }) => sessions)
    .filter(other => other.on === to && !isSame(other, session) && !other.isSkipped)
    .map(({ name }) => name)
  const readiness = readinessEffects(session, [before, after], context)
  return [
    ...(names.length > 0 ? [{ kind: 'day_taken' as const, on: to, names }] : []),
    ...(session.sent ? [{ kind: 'client_has_it' as const }] : []),
    ...(to < today ? [{ kind: 'past' as const }] : []),
    ...(readiness.length > 0 ? readiness : [{ kind: 'same_readiness' as const }]),
  ]
}
