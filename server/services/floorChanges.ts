import { randomUUID } from 'node:crypto'
import { failure, isoWeekday, type PlainDate, type Result, success } from '#core/base'
import { datedSession } from '#core/design/progress'
import {
  clockOf,
  contentAfter,
  floorEdits,
  type FloorChange,
  sessionsOf,
  startsOf,
} from '#core/follow/floor'
import {
  applyEdits,
  findSlot,
  type PlanDocument,
  type PlanEdit,
  withOneOff,
} from '#core/plan/block'
import { forAnotherExercise } from '#core/plan/scheme'
import { type Session, sessionSlots } from '#core/plan/session'
import { formatDay, startMessage, startMessageOpening } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { prescribeAnew } from '../db/queries/blockSessions'
import { agreeStart } from '../db/queries/floor'
import { deleteOwnMessages, insertMessage } from '../db/queries/messages'
import { profileOf } from '../db/queries/profiles'
import type { Floor, FloorPerson } from './floorPeople'
import { saveProfile } from './profiles'
import { savePlan } from './savePlan'
import type { Coach } from './signIn'

/* How changes of a day on the floor are written: into the plan, onto the sheet, and to the client. */

export const gone: Problem = {
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

/** What makes a change hold from now on in the plan; null where the plan has something else at the place than the day has. */
export function alwaysEdits({ people }: Floor, change: FloorChange): readonly PlanEdit[] | null {
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

interface OnDay {
  readonly on: PlainDate
  readonly isAlways: boolean
  readonly today: PlainDate
}

/** Makes a change of the floor: nothing where one of those it is of has begun or is not there any more. */
export async function madeOnDay(
  coach: Coach,
  floor: Floor,
  change: FloorChange,
  once: OnDay,
): Promise<Result<unknown, Problem>> {
  const of = (session: string) => floor.people.find(({ guest }) => guest.id === session)
  const people = sessionsOf(change).map(of)
  if (people.some(person => !person || person.guest.isBegun)) return failure(gone)
  if (change.kind !== 'start') {
    const person = of(change.session)
    return person ? doneOtherwise(coach, { person, floor, change }, once) : failure(gone)
  }
  for (const { session, start } of startsOf(change)) {
    const person = of(session)
    const moved = person && (await startOtherwise(coach, person, { ...once, start }))
    if (!moved?.ok) return moved ?? failure(gone)
  }
  return success({})
}

/** The client comes at another time, and is told. */
export async function startOtherwise(
  coach: Coach,
  { client }: FloorPerson,
  { on, start, isAlways, today }: OnDay & { readonly start: number },
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
  { isAlways, today }: OnDay,
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
