import { randomUUID } from 'node:crypto'
import { failure, isoWeekday, type PlainDate, type Result, success } from '#core/base'
import { datedSession } from '#core/design/progress'
import {
  arrangedTogether,
  clockOf,
  contentAfter,
  floorEdits,
  type FloorChange,
  type FloorRemedy,
  hoursOf,
  remediesFor,
  remedyKey,
  secondsOf,
  stationsOn,
} from '#core/follow/floor'
import {
  applyEdits,
  findSlot,
  type PlanDocument,
  type PlanEdit,
  withOneOff,
} from '#core/plan/block'
import { requireExercise } from '#core/plan/catalogue'
import { forAnotherExercise } from '#core/plan/scheme'
import { type Session, sessionSlots } from '#core/plan/session'
import {
  firstName,
  formatDay,
  remedyLines,
  remedyTitle,
  startMessage,
  startMessageOpening,
} from '#core/words'
import type {
  FloorStartBody,
  RemediesView,
  TakenRemedy,
  TakeRemedyBody,
  TogetherBody,
  TogetherView,
} from '#shared/contracts/floor'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { prescribeAnew } from '../db/queries/blockSessions'
import { agreeStart } from '../db/queries/floor'
import { deleteOwnMessages, insertMessage } from '../db/queries/messages'
import { profileOf } from '../db/queries/profiles'
import { type Floor, type FloorPerson, floorPeople } from './floorPeople'
import { saveProfile } from './profiles'
import { savePlan } from './savePlan'
import type { Coach } from './signIn'

type Asked = { readonly on: PlainDate; readonly session: string }

const NO_SESSION: Problem = { kind: 'not-found', what: 'session' }
const isThere = ({ people }: Floor, session: string) =>
  people.some(({ guest }) => guest.id === session)

/** What remedies are told with: first names, and what is done at a place. */
function namesIn({ people }: Floor) {
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

/** What makes a change hold from now on in the plan; null where the plan has something else at the place than the day has. */
function alwaysEdits({ people }: Floor, change: FloorChange): readonly PlanEdit[] | null {
  if (change.kind === 'start') return []
  const person = people.find(({ guest }) => guest.id === change.session)
  if (!person) return null
  const { plan, content } = person.guest
  const planned = findSlot(plan, change.slot)?.slot
  const onDay = sessionSlots(content).find(({ id }) => id === change.slot)
  if (!planned || planned.exercise !== onDay?.exercise) return null
  // The plan keeps its own sets: the day's may be those of an easier week.
  return floorEdits(change).map(edit =>
    edit.kind === 'set_scheme' ? { ...edit, scheme: forAnotherExercise(planned.scheme) } : edit,
  )
}

/** Whether a change can hold from now on: the profile has an hour for that weekday, the plan the same at the place. */
const canStay = (floor: Floor, change: FloorChange): boolean =>
  change.kind === 'start'
    ? floor.people.find(({ guest }) => guest.id === change.session)?.hasOwnHour === true
    : alwaysEdits(floor, change) !== null

const gone: Problem = {
  kind: 'invalid',
  errors: [
    {
      pointer: '/key',
      kind: 'custom',
      detail:
        'The day has changed since, so this way out is no longer there. Look at the new ones.',
    },
  ],
}

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
  const person = floor.people.find(({ guest }) => guest.id === remedy?.change.session)
  if (!remedy || !person) return failure(gone)
  const { change } = remedy
  const isAlways = isMeant && canStay(floor, change)
  const taken =
    change.kind === 'start'
      ? await startOtherwise(coach, person, { ...asked, start: change.start, isAlways, today })
      : await doneOtherwise(coach, { person, floor, change }, { ...asked, isAlways, today })
  if (!taken.ok) return taken
  const did = remedyTitle(remedy, namesIn(floor))
  return success({
    did: `${did}, ${isAlways ? 'from now on' : `on ${formatDay(asked.on)}`}.`,
  })
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

/**
 * Sessions of a group side by side: starts staggered and exercises turned; told first, then done.
 *
 * Errors: a session that is not there; the day over.
 */
export async function together(
  coach: Coach,
  { on, sessions, isTaken }: z.output<typeof TogetherBody>,
  today: PlainDate,
): Promise<Result<z.input<typeof TogetherView>, Problem>> {
  const floor = await floorPeople(coach, on, today)
  if (!sessions.every(session => isThere(floor, session))) return failure(NO_SESSION)
  if (on < today) return failure(gone)
  const { changes, before, after } = arrangedTogether(
    new Set(sessions),
    floor.people.map(({ guest }) => guest),
    stationsOn(floor.stations, floor.house, on),
    hoursOf(floor.house),
  )
  const names = namesIn(floor)
  const lines = changes.map(change => remedyTitle({ change }, names))
  if (isTaken)
    for (const change of changes) {
      const done = await changedOn(coach, change, { on, today })
      if (!done.ok) return done
    }
  return success({ lines, before, after })
}

/** Makes one change of a day, on the day as it is by then. */
async function changedOn(
  coach: Coach,
  change: FloorChange,
  { on, today }: { readonly on: PlainDate; readonly today: PlainDate },
): Promise<Result<unknown, Problem>> {
  const floor = await floorPeople(coach, on, today)
  const person = floor.people.find(({ guest }) => guest.id === change.session)
  if (!person || person.guest.isBegun) return failure(gone)
  const once = { on, isAlways: false, today }
  return change.kind === 'start'
    ? startOtherwise(coach, person, { ...once, start: change.start })
    : doneOtherwise(coach, { person, floor, change }, once)
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
  return success({
    did: `${firstName(person.name)} starts at ${start}, on ${formatDay(on)}.`,
  })
}

/** The client comes at another time, and is told. */
async function startOtherwise(
  coach: Coach,
  { client }: FloorPerson,
  {
    on,
    start,
    isAlways,
    today,
  }: {
    readonly on: PlainDate
    readonly start: number
    readonly isAlways: boolean
    readonly today: PlainDate
  },
): Promise<Result<unknown, Problem>> {
  const own = clockOf(start)
  const saved = isAlways ? await usuallyAt(coach, client, on, own) : success({})
  if (!saved.ok) return saved
  await agreeStart(database(), coach.id, client, { on, today, start: isAlways ? null : own })
  // What she was told of that day before no longer holds.
  await deleteOwnMessages(database(), coach.id, client, startMessageOpening(formatDay(on)))
  await insertMessage(database(), {
    coachId: coach.id,
    id: randomUUID(),
    clientId: client,
    kind: 'own',
    text: startMessage(formatDay(on), own, isAlways),
    writtenAt: currentTime(),
  })
  return success({})
}

/** The profile has another start for a weekday from now on. */
async function usuallyAt(
  coach: Coach,
  client: FloorPerson['client'],
  on: PlainDate,
  start: string,
): Promise<Result<unknown, Problem>> {
  const found = await profileOf(database(), coach.id, client)
  if (!found) return failure({ kind: 'not-found', what: 'client' })
  const weekday = isoWeekday(on)
  const days = found.profile.days.map(day => (day.weekday === weekday ? { ...day, start } : day))
  return saveProfile(coach, client, { ...found.profile, days })
}

interface Otherwise {
  readonly person: FloorPerson
  readonly floor: Floor
  readonly change: FloorChange
}

/** The plan after a change: of a single date, or from now on. */
function planAfter({ person, floor, change }: Otherwise, isAlways: boolean): PlanDocument | null {
  const { guest, planned } = person
  const content = contentAfter(guest, change)
  if (!isAlways) {
    const session = guest.plan.rotation.days[guest.day]?.sessions[guest.place]
    return session
      ? withOneOff(guest.plan, {
          on: planned,
          session: session.id,
          reason: change.kind === 'stand_in' ? 'swap' : 'other',
          content,
        })
      : null
  }
  const edits = alwaysEdits(floor, change)
  const edited = edits && applyEdits(guest.plan, edits, randomUUID)
  return edited?.ok ? edited.value : null
}

/** The session is done otherwise; what the client has of it already is sent anew. */
async function doneOtherwise(
  coach: Coach,
  otherwise: Otherwise,
  { isAlways, today }: { readonly isAlways: boolean; readonly today: PlainDate },
): Promise<Result<unknown, Problem>> {
  const { person, change } = otherwise
  const { guest, block, version } = person
  const plan = planAfter(otherwise, isAlways)
  if (!plan) return failure(gone)
  const saved = await savePlan(coach, { blockId: block, version, plan }, today)
  return saved.ok ? sendAnew(coach, person, contentAfter(guest, change)) : saved
}

/** What the client has of a session on her sheet is another from now on; nothing where it was not sent. */
export async function sendAnew(
  coach: Coach,
  { guest, sent, pass, planned, what }: FloorPerson,
  content: Session,
): Promise<Result<unknown, Problem>> {
  if (!sent) return success({})
  const { armSets, setsPlanned, session } = datedSession(
    {
      pass,
      day: guest.day,
      place: guest.place,
      on: planned,
      role: 'open',
      name: what,
      content,
      isSkipped: false,
      isMoved: false,
      isOwn: true,
    },
    guest.context,
  )
  const isThere = await prescribeAnew(database(), coach.id, sent, {
    armSets,
    setsPlanned,
    prescribed: session,
    sentAt: currentTime(),
  })
  return isThere ? success({}) : failure(gone)
}
