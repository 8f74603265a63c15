import { groupedBy } from '#core/base'
import { feltElsewhere, type FeltOn, moreSaidIn, saidOfSession } from '#core/follow/sheet'
import type { HistoryView } from '#shared/contracts/history'
import type { saidSince } from '../db/queries/clientLog'

type SaidRow = Awaited<ReturnType<typeof saidSince>>[number]

const wordsOf = (rows: readonly SaidRow[]) =>
  saidOfSession(rows.map(({ id, at, word }) => ({ id, at: at.toISOString(), word })))

/** Sessions of which something was said beside their sets, the newest first. */
export function saidOfSessions(rows: readonly SaidRow[]): HistoryView['said'] {
  return [...groupedBy(rows, ({ session }) => session).values()]
    .flatMap(own => {
      const { on, name } = own[0]!
      const { felt, finish } = wordsOf(own)
      const more = moreSaidIn(finish)
      return felt.length === 0 && Object.keys(more).length === 0
        ? []
        : [
            {
              on,
              session: name,
              felt: felt.map(({ exercise, where }) => ({ exercise, where })),
              recovery: finish?.recovery ?? null,
              more,
            },
          ]
    })
    .reverse()
}

/** Exercises that were felt elsewhere twice running. */
export function elsewhereIn(rows: readonly SaidRow[]): ReturnType<typeof feltElsewhere> {
  return feltElsewhere(
    [...groupedBy(rows, ({ session }) => session).values()].flatMap(own =>
      wordsOf(own).felt.map(({ exercise, where }): FeltOn => ({ exercise, where, on: own[0]!.on })),
    ),
  )
}
