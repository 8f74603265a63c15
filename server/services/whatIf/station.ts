import {
  addDays,
  daysBetween,
  failure,
  groupedBy,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import {
  floorDay,
  floorSessionOf,
  stationsOn,
  waitedBy,
  withOutage,
  withoutStation,
  type WithoutStation,
} from '#core/follow/floor'
import { withOneOff } from '#core/plan/block'
import { requireExercise } from '#core/plan/catalogue'
import {
  formatDay,
  formatOneDecimal,
  outageWords,
  withoutStationLines,
  withoutStationWords,
} from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { WhatIf } from '#shared/contracts/whatIf'
import { database } from '../../db/database'
import { floorOf, setFloor } from '../../db/queries/floor'
import { type Floor, floorGround, type FloorPerson, floorPeople } from '../floorPeople'
import { sendAnew } from '../floorChanges'
import { savePlan } from '../savePlan'
import type { Coach } from '../signIn'
import { type Prepared, told, type Written } from './asked'

type Outage = Extract<WhatIf, { kind: 'station' }>
interface Session {
  readonly on: PlainDate
  readonly person: FloorPerson
  readonly without: WithoutStation
}
const MINUTE = 60

/** A station that cannot be used for some days: what stands in where none is left, who waits where some are. */
export async function stationOut(coach: Coach, asked: Outage, today: PlainDate): Promise<Prepared> {
  const { station, left, from, to } = asked
  const first = from < today ? today : from
  const dates = Array.from({ length: Math.max(0, daysBetween(first, to) + 1) }, (_, at) =>
    addDays(first, at),
  )
  const ground = await floorGround(coach)
  const floors = await Promise.all(
    dates.map(async on => ({ on, floor: await floorPeople(coach, on, today, ground) })),
  )
  const sessions = floors.flatMap(({ on, floor }) =>
    floor.people.flatMap((person): Session[] => {
      const without = withoutStation(person.guest, station)
      return without.standIns.length + without.stuck.length > 0 ? [{ on, person, without }] : []
    }),
  )
  const of = groupedBy(sessions, ({ person }) => person.client)
  const what = outageWords(station, left, from, to)
  return {
    what,
    view: told(
      `${what}. The floor reckons with it on these days.`,
      left > 0
        ? waits(floors, asked)
        : [...of].map(([client, own]) => ({ client, ...standInLine(own) })),
    ),
    write: client =>
      left > 0 ? Promise.resolve(success([])) : writeStandIns(coach, of.get(client) ?? [], today),
    writeStudio: async () => {
      const { stations, house } = await floorOf(database(), coach.id)
      const outage = { station, left, from, to }
      await setFloor(database(), coach.id, { stations, house: withOutage(house, outage, today) })
      return success({})
    },
  }
}

const canWrite = ({ person, without }: Session) =>
  without.standIns.length > 0 && person.guest.plan.draft === undefined

function standInLine(own: readonly Session[]) {
  const [{ person }] = own as readonly [Session, ...Session[]]
  const sum = (of: (session: Session) => number) => own.reduce((all, one) => all + of(one), 0)
  const nameOf = (exercise: string) =>
    requireExercise(person.guest.context.catalogue, exercise).name
  const isDraft = own.some(one => one.person.guest.plan.draft !== undefined)
  return {
    name: person.name,
    words: withoutStationWords(
      sum(({ without }) => without.standIns.length),
      own.length,
      sum(({ without }) => without.stuck.length),
    ),
    details: [
      ...own.flatMap(({ on, person: one, without }) =>
        withoutStationLines(on, one.what, without, nameOf),
      ),
      ...(isDraft ? ['A draft is laid out anew when it becomes a plan; nothing is written.'] : []),
    ],
    isWritten: own.some(canWrite),
  }
}

/** Where some are left nothing is changed: who waits how much longer, day by day. */
function waits(
  floors: readonly { readonly on: PlainDate; readonly floor: Floor }[],
  { station, left }: Outage,
) {
  const longer = floors.flatMap(({ on, floor }) => {
    const all = floor.people.map(({ guest }) => floorSessionOf(guest))
    const there = stationsOn(floor.stations, floor.house, on)
    const before = floorDay(all, there)
    const after = floorDay(all, { ...there, [station]: left })
    return floor.people.flatMap(({ client, name, guest }) => {
      const seconds = waitedBy(after, guest.id) - waitedBy(before, guest.id)
      return seconds >= MINUTE ? [{ on, client, name, minutes: seconds / MINUTE }] : []
    })
  })
  return [...groupedBy(longer, ({ client }) => client)].map(([client, own]) => ({
    client,
    name: own[0]?.name ?? '',
    words: `waits ${formatOneDecimal(own.reduce((sum, { minutes }) => sum + minutes, 0))} minutes more`,
    details: own.map(({ on, minutes }) => `${formatDay(on)}: ${formatOneDecimal(minutes)} minutes`),
    isWritten: false,
  }))
}

const DRAFT: Problem = {
  kind: 'invalid',
  errors: [
    { pointer: '/plan', kind: 'custom', detail: 'Only a draft has it; nothing was written.' },
  ],
}

/** Writes the stand-ins of one client: each for its date, and on the sheet where it was sent. */
async function writeStandIns(
  coach: Coach,
  own: readonly Session[],
  today: PlainDate,
): Promise<Result<Written, Problem>> {
  const byBlock = groupedBy(own.filter(canWrite), ({ person }) => person.block)
  for (const [block, sessions] of byBlock) {
    const [{ person }] = sessions as readonly [Session, ...Session[]]
    const plan = sessions.reduce((so, { person: one, without }) => {
      const { guest, planned } = one
      const session = guest.plan.rotation.days[guest.day]?.sessions[guest.place]
      return session
        ? withOneOff(so, {
            on: planned,
            session: session.id,
            reason: 'swap',
            content: without.guest.content,
          })
        : so
    }, person.guest.plan)
    const saved = await savePlan(coach, { blockId: block, version: person.version, plan }, today)
    if (!saved.ok) return saved
    for (const { person: one, without } of sessions) {
      const sent = await sendAnew(coach, one, without.guest.content)
      if (!sent.ok) return sent
    }
  }
  return byBlock.size > 0 ? success([...byBlock.keys()]) : failure(DRAFT)
}
