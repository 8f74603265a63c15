import { failure, type PlainDate, type Result, success } from '#core/base'
import {
  type FloorChange,
  type FloorRemedy,
  hoursOf,
  remediesFor,
  remedyKey,
  secondsOf,
  startsOf,
  stationsOn,
} from '#core/follow/floor'
import { requireExercise } from '#core/plan/catalogue'
import { sessionSlots } from '#core/plan/session'
import { firstName, formatDay, remedyLines, remedyTitle } from '#core/words'
import type {
  FloorStartBody,
  RemediesView,
  TakenRemedy,
  TakeRemedyBody,
} from '#shared/contracts/floor'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { database } from '../db/database'
import { tellChange } from '../db/queries/changes'
import { alwaysEdits, gone, madeOnDay, startOtherwise } from './floorChanges'
import { type Floor, floorPeople } from './floorPeople'
import type { Coach } from './signIn'

type Asked = { readonly on: PlainDate; readonly session: string }

export const NO_SESSION: Problem = { kind: 'not-found', what: 'session' }
export const isThere = ({ people }: Floor, session: string) =>
  people.some(({ guest }) => guest.id === session)

/** What remedies are told with: first names, and what is done at a place. */
export function namesIn({ people }: Floor) {
  const of = (session: string) => people.find(({ guest }) => guest.id === session)
  const nameOfExercise = (exercise: string) => {
    const catalogue = people[0]?.guest.context.catalogue
    return catalogue ? requireExercise(catalogue, exercise).name : exercise
  }
  return {
    nameOf: (session: string) => firstName(of(session)?.name ?? ''),
    exerciseOf: (session: string, slot: string) => {
      const content = of(session)?.guest.content
      const held = content && sessionSlots(content).find(({ id }) => id === slot)
      return held ? nameOfExercise(held.exercise) : ''
    },
    nameOfExercise,
  }
}

/** What a draft holds is laid out anew whenever it is read: only its start can be agreed. */
const isDraft = ({ people }: Floor, { change }: FloorRemedy): boolean =>
  change.kind !== 'start' &&
  people.find(({ guest }) => guest.id === change.session)?.guest.plan.draft !== undefined

async function offered(coach: Coach, { on, session }: Asked, today: PlainDate) {
  const floor = await floorPeople(coach, on, today)
  const guests = floor.people.map(({ guest }) => guest)
  const found = remediesFor(
    session,
    guests,
    stationsOn(floor.stations, floor.house, on),
    hoursOf(floor.house),
  )
  return { floor, remedies: found.filter(remedy => !isDraft(floor, remedy)) }
}

/** Ways out of a wait, the best first; none for what is over. */
export async function remedies(
  coach: Coach,
  asked: Asked,
  today: PlainDate,
): Promise<Result<z.input<typeof RemediesView>, Problem>> {
  const { floor, remedies: found } = await offered(coach, asked, today)
  if (!isThere(floor, asked.session)) return failure(NO_SESSION)
  if (asked.on < today) return success({ remedies: [] })
  const names = namesIn(floor)
  return success({
    remedies: found.map(remedy => ({
      key: remedyKey(remedy.change),
      kind: remedy.change.kind,
      title: remedyTitle(remedy, names),
      lines: [...remedyLines(remedy, names)],
      canStay: canStay(floor, remedy.change),
    })),
  })
}

/** Whether a change can hold from now on: the profile has an hour for that weekday, the plan the same at the place. */
const canStay = (floor: Floor, change: FloorChange): boolean =>
  change.kind === 'start'
    ? startsOf(change).every(
        ({ session }) =>
          floor.people.find(({ guest }) => guest.id === session)?.hasOwnHour === true,
      )
    : alwaysEdits(floor, change) !== null

/** Takes a way out as it was offered; what the day has become since is looked at anew. */
export async function takeRemedy(
  coach: Coach,
  { key, isAlways: isMeant, ...asked }: z.output<typeof TakeRemedyBody>,
  today: PlainDate,
): Promise<Result<z.input<typeof TakenRemedy>, Problem>> {
  const { floor, remedies: found } = await offered(coach, asked, today)
  if (!isThere(floor, asked.session)) return failure(NO_SESSION)
  if (asked.on < today) return failure(gone)
  const remedy = found.find(({ change }) => remedyKey(change) === key)
  if (!remedy) return failure(gone)
  const isAlways = isMeant && canStay(floor, remedy.change)
  const taken = await madeOnDay(coach, floor, remedy.change, { on: asked.on, isAlways, today })
  if (!taken.ok) return taken
  const title = remedyTitle(remedy, namesIn(floor))
  const did = `${title}, ${isAlways ? 'from now on' : `on ${formatDay(asked.on)}`}`
  await tellChange(database(), coach.id, did)
  return success({ did: `${did}.` })
}

const TWO_SESSIONS: Problem = {
  kind: 'invalid',
  errors: [
    {
      pointer: '/start',
      kind: 'custom',
      detail:
        'The client has two sessions that day, and both would move. Change the hour in the profile, or move one session to another day.',
    },
  ],
}

/** Moves a start for the day by hand. */
export async function moveStart(
  coach: Coach,
  { on, session, start }: z.output<typeof FloorStartBody>,
  today: PlainDate,
): Promise<Result<z.input<typeof TakenRemedy>, Problem>> {
  const { people } = await floorPeople(coach, on, today)
  const person = people.find(({ guest }) => guest.id === session)
  if (!person) return failure(NO_SESSION)
  if (person.guest.isBegun || on < today) return failure(gone)
  if (!person.guest.canMove) return failure(TWO_SESSIONS)
  const at = secondsOf(start)
  const moved = await startOtherwise(coach, person, { on, start: at, isAlways: false, today })
  if (!moved.ok) return moved
  const did = `${firstName(person.name)} starts at ${start}, on ${formatDay(on)}`
  await tellChange(database(), coach.id, did)
  return success({ did: `${did}.` })
}
