import {
  addDays,
  type ClientId,
  type ExerciseId,
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
import { schemeLines } from '#core/words'
import type { ClientView } from '#shared/contracts/client'
import type { Problem } from '#shared/contracts/problem'
import { ProfileContract } from '#shared/contracts/profile'
import type { StoryView } from '#shared/contracts/story'
import { sessionDocument } from '../db/documents'
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

/** Reads all that a story is told from. */
async function storyData(coach: Coach, view: ClientView, exercise: ExerciseId, today: PlainDate) {
  const db = database()
  const { id } = view
  const since = addDays(today, -TOLD_DAYS)
  const [profile, rows, sets, reports, setUps, values, exclusions] = await Promise.all([
    profileOf(db, coach.id, id),
    sessionsWith(db, coach.id, id, exercise, since),
    setsSince(db, coach.id, id, since),
    painReportsOf(db, coach.id, id),
    setUpsOf(db, coach.id, [id]),
    exposuresOf(db, coach.id, [id], since),
    exclusionFactsOf(db, coach, view),
  ])
  return {
    unit: ProfileContract.parse(profile?.profile).units,
    sessions: rows.map(row => ({ ...row, prescribed: sessionDocument(row.prescribed) })),
    sets,
    reports,
    setUps: setUps.filter(said => said.exercise === exercise),
    values: sifted(
      values.filter(value => value.exercise === exercise),
      exclusions,
    ),
  }
}

/** Exercises of the log and the plan, to go to, by name. */
function othersOf(
  { block }: ClientView,
  logged: readonly { readonly exercise: ExerciseId }[],
  exercise: ExerciseId,
  nameOf: (id: string) => string,
): StoryView['others'] {
  const all = new Set<string>([
    exercise,
    ...logged.map(set => set.exercise),
    ...(block ? exercisesUsed(block.plan) : []),
  ])
  return [...all]
    .map(other => ({ exercise: other, name: nameOf(other) }))
    .sort((a, b) => a.name.localeCompare(b.name))
}

/** All that is known of one exercise of a client: plan and log day by day, best sets, left and right, and where it goes. */
export async function story(
  coach: Coach,
  id: ClientId,
  asked: string,
  today: PlainDate,
): Promise<Result<StoryView, Problem>> {
  const found = await client(coach, id, { today })
  if (!found.ok) return found
  const { facts, library } = found.value
  const catalogue = catalogueWith(library)
  const known = catalogue.get(asked)
  if (!known) return failure({ kind: 'not-found', what: 'exercise' })
  const exercise = exerciseId(asked)
  const context = { catalogue, client: facts }
  const data = await storyData(coach, found.value, exercise, today)
  const pains = data.reports.filter(({ joint, score }) => score > 0 && loads(known).includes(joint))
  const days = exerciseStory({ ...data, exercise, pains })
  const gaps = sideDays(days)
  const nameOf = (other: string) => catalogue.get(other)?.name ?? other
  const toldOf = days.flatMap(({ instead, standsFor }) => [...instead, ...standsFor])
  return success({
    exercise,
    name: known.name,
    group: directGroups(known.intents[0].credits)[0] ?? null,
    unit: data.unit,
    days: days.map(day => ({
      ...day,
      asked: day.planned.flatMap(({ scheme }) => schemeLines(scheme, catalogue)).join('; '),
    })),
    bests: bestSets(days),
    attempts: attemptsIn(days),
    course: data.values.length > 0 ? courseOf(exercise, data.values, context, today) : null,
    sides: { days: gaps, gap: sideGap(gaps) },
    sideRule: sidesRule(facts, exercise) ?? null,
    others: othersOf(found.value, data.sets, exercise, nameOf),
    names: Object.fromEntries(toldOf.map(other => [other, nameOf(other)])),
  })
}
