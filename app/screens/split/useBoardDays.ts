import type { ShownBoard } from './useShownBoard'

/** Whole days of the rotation: rest or training, swapped, copied, moved. */
export function useBoardDays({ store, days, place, opened, say, report }: ShownBoard) {
  function toggleRest(): void {
    const { day } = place.value
    const held = days.value[day]
    if (held)
      report(
        store.edit({
          kind: 'set_day',
          day,
          role: held.role === 'rest' ? 'full' : 'rest',
          label: null,
          minuteLimit: held.minuteLimit ?? null,
        }),
      )
  }

  function choose(what: 'swap' | 'copy' | 'move'): void {
    if (what !== 'swap' && days.value[place.value.day]?.sessions.length === 0)
      say('This day has no session.')
    else opened.value = what
  }

  /** Swaps, copies or moves the selected day's session to another day. */
  function withDay(what: 'swap' | 'copy' | 'move', from: number, to: number): void {
    opened.value = null
    const edit =
      what === 'swap'
        ? { kind: 'swap_days' as const, day: from, with: to }
        : {
            kind: what === 'copy' ? ('copy_day' as const) : ('move_session' as const),
            day: from,
            to,
          }
    if (!report(store.edit(edit))) return
    place.value = { ...place.value, day: to }
    say(
      {
        swap: `Days ${from + 1} and ${to + 1} swapped.`,
        copy: `Day ${from + 1} copied to day ${to + 1}.`,
        move: `The session of day ${from + 1} moved to day ${to + 1}.`,
      }[what],
    )
  }

  /** A day head dropped on another: onto an empty day the session moves, else the two change places. */
  function dropDay(from: number, to: number): void {
    if (from !== to) withDay(days.value[to]?.sessions.length === 0 ? 'move' : 'swap', from, to)
  }

  return { toggleRest, choose, withDay, dropDay }
}
