import {
  addDays,
  type ClientId,
  exerciseId,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { catalogueWith, directGroups, type Exercise, JOINTS } from '#core/plan/catalogue'
import { splitByUse } from '#core/body/log'
import { attemptsIn, bestSets, exerciseStory, sideDays, sideGap } from '#core/follow/story'
import { sidesRule } from '#core/plan/method'
import { exercisesUsed } from '#core/plan/block'
import { SessionContract } from '#shared/contracts/plan'
import { schemeLines } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import { ProfileContract } from '#shared/contracts/profile'
import type { StoryView } from '#shared/contracts/story'
import { database } from '../db/database'
import { setUpsOf } from '../db/queries/clientLog'
import { painReportsOf } from '../db/queries/health'
import { sessionsWith } from '../db/queries/loadLog'
import { setsSince } from '../db/queries/logEntries'
import { profileOf } from '../db/queries/profiles'
import { exposuresOf } from '../db/queries/training'
import { client } from './clients'
import type { Coach } from './signIn'
import { exclusionFactsOf } from './trends'
import { courseOf } from './trendsPage'

/** A year is told. */
const TOLD_DAYS = 365

/** Joints an exercise loads in any way. */
const loads = ({ intents }: Exercise) =>
  JOINTS.filter(joint => intents.some(({ jointStress }) => jointStress[joint] > 0))

type Values = Awaited<ReturnType<typeof exposuresOf>>

/** Estimates of the exercise with those left out among them, in the order of their days. */
function sifted(values: Values, facts: Awaited<ReturnType<typeof exclusionFactsOf>>) {
  const { used, leftOut } = splitByUse(values, facts)
  return [
    ...used.map(one => ({ ...one, leftOut: null })),
    ...leftOut.map(({ reason, ...one }) => ({ ...one, leftOut: reason })),
  ].sort((a, b) => a.on.localeCompare(b.on))
}

/** All that is known of one exercise of a client: plan and log day by day, best sets, left and right, and where it goes. */
export async function story(
  coach: Coach,
  id: ClientId,
  asked: string,
  today: PlainDate,
): Promise<Result<StoryView, Problem>> {
  const db = database()
  const found = await client(coach, id)
  if (!found.ok) return found
  const { facts, library, block } = found.value
  const catalogue = catalogueWith(library)
  const known = catalogue.get(asked)
  if (!known) return failure({ kind: 'not-found', what: 'exercise' })
  const exercise = exerciseId(asked)
  const since = addDays(today, -TOLD_DAYS)
  const [profile, rows, sets, reports, setUps, values, exclusions] = await Promise.all([
    profileOf(db, coach.id, id),
    sessionsWith(db, coach.id, id, exercise, since),
    setsSince(db, coach.id, id, since),
    painReportsOf(db, coach.id, id),
    setUpsOf(db, coach.id, [id]),
    exposuresOf(db, coach.id, [id], since),
    exclusionFactsOf(db, coach, found.value),
  ])
  const joints = loads(known)
  const sessions = rows.map(row => ({ ...row, prescribed: SessionContract.parse(row.prescribed) }))
  const days = exerciseStory({
    exercise,
    sessions,
    sets,
    pains: reports.filter(({ joint, score }) => score > 0 && joints.includes(joint)),
    setUps: setUps.filter(said => said.exercise === exercise),
  })
  const own = sifted(
    values.filter(value => value.exercise === exercise),
    exclusions,
  )
  const gaps = sideDays(days)
  const nameOf = (other: string) => catalogue.get(other)?.name ?? other
  const others = new Set([
    exercise,
    ...sets.map(set => set.exercise),
    ...(block ? exercisesUsed(block.plan) : []),
  ])
  return success({
    exercise,
    name: known.name,
    group: directGroups(known.intents[0].credits)[0] ?? null,
    unit: ProfileContract.parse(profile?.profile).units,
    days: days.map(day => ({
      ...day,
      asked: day.planned.flatMap(({ scheme }) => schemeLines(scheme, catalogue)).join('; '),
    })),
    bests: bestSets(days),
    attempts: attemptsIn(days),
    course: own.length > 0 ? courseOf(exercise, own, { catalogue }, today) : null,
    sides: { days: gaps, gap: sideGap(gaps) },
    sideRule: sidesRule(facts, exercise) ?? null,
    others: [...others]
      .map(other => ({ exercise: other, name: nameOf(other) }))
      .sort((a, b) => a.name.localeCompare(b.name)),
    names: Object.fromEntries(
      days.flatMap(({ instead, standsFor }) =>
        [...instead, ...standsFor].map(other => [other, nameOf(other)]),
      ),
    ),
  })
}
