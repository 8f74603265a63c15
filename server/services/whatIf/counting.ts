import { randomUUID } from 'node:crypto'
import { type ClientId, failure, type PlainDate, type Result, success } from '#core/base'
import { attentionList, rotationLedger } from '#core/count/ledger'
import {
  type Catalogue,
  catalogueWith,
  creditKey,
  type Credits,
  type Group,
  GROUPS,
} from '#core/plan/catalogue'
import {
  type Method,
  METHOD_SETTINGS,
  type PlanContext,
  settingOf,
  withSetting,
} from '#core/plan/method'
import type { Rotation } from '#core/plan/rotation'
import { bandMoves, GROUP_NAMES, weekMove } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { WhatIf } from '#shared/contracts/whatIf'
import { database } from '../../db/database'
import { lockedFacts, plannedClients, updateFacts } from '../../db/queries/clients'
import { insertMethod, putCredits } from '../../db/queries/studioSettings'
import { followMethod } from '../profiles'
import type { Coach } from '../signIn'
import { contextIn, type StudioSettings, studioSettings } from '../studioSettings'
import { type Prepared, told, type Written } from './asked'

type CreditAsked = Extract<WhatIf, { kind: 'credit' }>
type MethodAsked = Extract<WhatIf, { kind: 'method' }>

const SLACK = 0.05

const wrong = (pointer: string, detail: string): Result<never, Problem> =>
  failure({ kind: 'invalid', errors: [{ pointer, kind: 'custom', detail }] })

/** What a week counts as before and after, where it moves; the bands that are left or come back first. */
function weekLine(rotation: Rotation, before: PlanContext, after: PlanContext) {
  const [was, is] = [rotationLedger(rotation, before), rotationLedger(rotation, after)]
  const moves = GROUPS.flatMap(group => {
    const [a, b] = [was.groups[group].week.counted.value, is.groups[group].week.counted.value]
    return Math.abs(a - b) < SLACK ? [] : [weekMove(group, a, b)]
  })
  const bands = bandMoves(attentionList(was), attentionList(is))
  const [first, ...others] = [...bands, ...moves]
  return first === undefined ? null : { words: first, details: others }
}

/** Indirect credit of a muscle in all exercises of a movement, by exercise and purpose. */
function creditsOf(
  catalogue: Catalogue,
  { pattern, group, credit }: CreditAsked,
): ReadonlyMap<string, Credits> {
  return new Map(
    [...catalogue.values()]
      .filter(exercise => exercise.pattern === pattern)
      .flatMap(({ id, intents }) =>
        intents
          .filter(({ credits }) => isIndirect(credits, group))
          .map(intent => [creditKey(id, intent.id), { ...intent.credits, [group]: credit }]),
      ),
  )
}
const isIndirect = (credits: Credits, group: Group) => {
  const held = credits[group] ?? 0
  return held > 0 && held < 1
}

/** Indirect sets count otherwise: for all, but for who is left out, who keeps what counted before. */
export async function creditOtherwise(
  coach: Coach,
  asked: CreditAsked,
  today: PlainDate,
): Promise<Result<Prepared, Problem>> {
  const db = database()
  const [settings, clients] = await Promise.all([
    studioSettings(db, coach.id),
    plannedClients(db, coach.id, today),
  ])
  const changed = creditsOf(settings.catalogue, asked)
  const what = `${GROUP_NAMES[asked.group]} in ${asked.pattern.replaceAll('_', ' ')} counts ${asked.credit}`
  if (changed.size === 0)
    return wrong(
      '/asked/group',
      `No exercise of this movement trains ${GROUP_NAMES[asked.group].toLowerCase()} indirectly. Choose another muscle or movement.`,
    )
  const forAll: StudioSettings = {
    ...settings,
    catalogue: catalogueWith({
      ...settings.library,
      credits: { ...settings.library.credits, ...Object.fromEntries(changed) },
    }),
  }
  return success({
    what,
    view: told(
      `${what}, in ${new Set([...changed.keys()].map(key => key.split(':')[0])).size} exercises.`,
      creditLines(clients, settings, forAll),
    ),
    write: () => Promise.resolve(success([])),
    writeStudio: leftOut => writeCredits(coach, leftOut, settings.catalogue, changed),
  })
}

const creditLines = (
  clients: Awaited<ReturnType<typeof plannedClients>>,
  settings: StudioSettings,
  after: StudioSettings,
) =>
  clients.flatMap(({ id, name, method, facts, plan }) => {
    if (!plan) return []
    const contexts = [contextIn(settings, method, facts), contextIn(after, method, facts)] as const
    const line = weekLine(plan.rotation, ...contexts)
    return line ? [{ client: id, name, ...line, isWritten: true }] : []
  })

async function writeCredits(
  coach: Coach,
  leftOut: readonly ClientId[],
  catalogue: Catalogue,
  changed: ReadonlyMap<string, Credits>,
): Promise<Result<unknown, Problem>> {
  for (const client of leftOut) await keepCredits(coach, client, catalogue, changed)
  for (const [exercise, credits] of changed)
    await putCredits(database(), coach.id, exercise, credits)
  return success({})
}

/** Who is left out keeps what counted for her before, as credits of her own. */
async function keepCredits(
  coach: Coach,
  client: ClientId,
  catalogue: Catalogue,
  changed: ReadonlyMap<string, Credits>,
): Promise<void> {
  const found = await lockedFacts(database(), coach.id, client)
  if (!found) return
  const before = [...catalogue.values()].flatMap(({ id, intents }) =>
    intents
      .map(intent => [creditKey(id, intent.id), intent.credits] as const)
      .filter(([key]) => changed.has(key)),
  )
  await updateFacts(database(), coach.id, client, {
    facts: { ...found.facts, credits: { ...Object.fromEntries(before), ...found.facts.credits } },
  })
}

/** One setting of a method otherwise: as a method of the coach's own that followers change to, who is left out stays. */
export async function methodOtherwise(
  coach: Coach,
  { method: id, setting: path, value }: MethodAsked,
  today: PlainDate,
): Promise<Result<Prepared, Problem>> {
  const db = database()
  const [settings, clients] = await Promise.all([
    studioSettings(db, coach.id),
    plannedClients(db, coach.id, today),
  ])
  const held = settings.methods.get(id)
  const setting = METHOD_SETTINGS.find(one => one.path.join('.') === path)
  if (!held) return failure({ kind: 'not-found', what: 'method' })
  if (!setting || settingOf(held.method, setting) === value)
    return wrong('/asked/value', 'That is how it is. Choose otherwise.')
  const name = freeName(settings, `${held.method.name}, ${setting.label.toLowerCase()} ${value}`)
  const own = { ...withSetting(held.method, setting, value), id: `own-${randomUUID()}`, name }
  const after = withMethod(settings, own, held.basedOn ?? id)
  const lines = clients
    .filter(({ method }) => method === id)
    .map(({ id: client, name: who, facts, plan }) => {
      const contexts = [contextIn(settings, id, facts), contextIn(after, own.id, facts)] as const
      const line = (plan && weekLine(plan.rotation, ...contexts)) ?? NOTHING_MOVES
      return { client, name: who, ...line, isWritten: true }
    })
  const words = `A method of your own: ${name}. Who is left out stays with ${held.method.name}.`
  return success({
    what: name,
    view: told(words, lines),
    write: async (client): Promise<Result<Written, Problem>> => {
      const followed = await followMethod(coach, client, { method: own.id })
      return followed.ok ? success([]) : followed
    },
    writeStudio: async () => {
      await insertMethod(db, coach.id, held.basedOn ?? id, own)
      return success({})
    },
  })
}

/** Settings with a method more. */
const withMethod = (settings: StudioSettings, method: Method, basedOn: string): StudioSettings => ({
  ...settings,
  methods: new Map([...settings.methods, [method.id, { method, basedOn }]]),
})

const NOTHING_MOVES = { words: 'No figure of the week moves', details: [] }

const MOST_NAME = 60
/** A name no other method has. */
function freeName({ methods }: StudioSettings, wanted: string): string {
  const taken = new Set([...methods.values()].map(({ method }) => method.name.toLowerCase()))
  const short = wanted.slice(0, MOST_NAME - 4).trim()
  const names = [short, ...Array.from({ length: 90 }, (_, at) => `${short} ${at + 2}`)]
  return names.find(name => !taken.has(name.toLowerCase())) ?? short
}
