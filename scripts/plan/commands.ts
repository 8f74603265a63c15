import { type LinearSolver, propose } from '#core/design/allocation'
import { checkPlan, CHECKS } from '#core/judge/checks'
import { findingSentence, formatDay } from '#core/words'
import { addDays, isPlainDate, type PlainDate, plainDate } from '#core/base'
import { GROUPS } from '#core/plan/catalogue'
import { armBalance, blockLedger, coverage, rotationLedger } from '#core/count/ledger'
import {
  COUNTING_SCHOOL_IDS,
  COUNTING_SCHOOLS,
  type CountingSchoolId,
  type PlanContext,
} from '#core/plan/method'
import { sessionTime } from '#core/plan/minutes'
import { fatigueSources, rotationRecovery } from '#core/body/recovery'
import type { PlanDocument } from '#core/plan/block'
import { fieldErrors } from '#shared/contracts/fieldErrors'
import { contextOf, PlanFile } from '#shared/contracts/planFile'
import { LogFile } from '#shared/contracts/logFile'
import { z } from 'zod'
import { loadsCommand, sheetCommand } from './loadCommands'
import { ratesCommand, verdictsCommand } from './logCommands'

/** What a command prints and how it ends; the caller does both. */
export interface Outcome {
  readonly code: 0 | 1 | 2
  readonly out?: string
  readonly errors?: readonly string[]
}

const USAGE = `usage: npm run --silent plan -- ledger|recovery|minutes|checks|allocate|sheet|loads|verdicts|rates FILE.json [--school ${COUNTING_SCHOOL_IDS.join('|')}] [--on DATE]`

interface Given {
  readonly solver: LinearSolver | undefined
  readonly file: PlanFile
  /** The day to look from; the day after the log where it is left out. */
  readonly on: PlainDate | undefined
}
type Command = (plan: PlanDocument, context: PlanContext, given: Given) => unknown

const COMMANDS: Readonly<Record<string, Command>> = {
  ledger: (plan, context) => {
    const ledger = rotationLedger(plan.rotation, context)
    const { weeks } = blockLedger(plan, context, 1, ledger)
    return {
      school: context.method.school.id,
      unit: 'sets per 7 days',
      balance: armBalance(ledger.work.flat(), context),
      groups: GROUPS.map(group => {
        const { week, effectivePer7Days, mode, band, position, spread } = ledger.groups[group]
        return {
          group,
          direct: week.direct,
          indirect: week.indirect,
          counted: week.counted,
          effective: effectivePer7Days,
          mode,
          band,
          position,
          ...spread,
          days: ledger.days.map(({ groups }) => groups[group].counted.value),
          calendarWeeks: weeks[group],
          gaps: coverage(ledger, group, context).gaps,
        }
      }),
      muscles: Object.fromEntries(
        Object.entries(ledger.muscles).map(([muscle, { counted }]) => [muscle, counted.value]),
      ),
    }
  },
  recovery: (plan, context) => {
    const recovery = rotationRecovery(plan.rotation, context)
    return Object.fromEntries(
      GROUPS.filter(group => recovery.arrivals[group].length > 0).map(group => [
        group,
        recovery.arrivals[group].map(({ day, session, ...arrival }) => ({
          ...arrival,
          day: day + 1,
          session: session + 1,
          fromDay: arrival.fromDay + 1,
          sources: fatigueSources(recovery, { day, session, ...arrival }, context).map(source => ({
            ...source,
            day: source.day + 1,
            session: source.session + 1,
          })),
        })),
      ]),
    )
  },
  minutes: (plan, context) =>
    plan.rotation.days.flatMap((day, at) =>
      day.sessions.map((session, place) => {
        const { seconds, low, high, assumedShare, groupings } = sessionTime(session, context)
        return {
          day: at + 1,
          date: formatDay(addDays(plan.startsOn, at)),
          session: place + 1,
          minutes: seconds / 60,
          low: low / 60,
          high: high / 60,
          limit: day.minuteLimit ?? null,
          assumedShare,
          groupings,
        }
      }),
    ),
  sheet: (_, context, { file, on }) => sheetCommand(file, context, on),
  loads: (_, context, { file, on }) => loadsCommand(file, context, on),
  allocate: (plan, context, { solver }) => {
    const { proposals, ...rest } = propose({ plan, context }, solver ? { solver } : {})
    return {
      ...rest,
      proposals: proposals.map(({ changes, ...proposal }) => ({
        ...proposal,
        changes: changes.map(({ cell, day, sets, edit }) => ({
          exercise: cell.slot.exercise,
          day: day + 1,
          was: cell.now,
          sets,
          edit,
        })),
      })),
    }
  },
  checks: (plan, context) =>
    checkPlan(plan, context).map(finding => ({
      ...finding,
      place: {
        ...finding.place,
        ...(finding.place.day !== undefined && { day: finding.place.day + 1 }),
        ...(finding.place.session !== undefined && { session: finding.place.session + 1 }),
      },
      sentence: findingSentence(finding),
      reason: CHECKS.find(({ id }) => id === finding.check)?.reason ?? '',
    })),
}

/** Numbers that are open at the top have no place in JSON: they become null. */
function jsonText(value: unknown): string {
  return JSON.stringify(value, (_, held: unknown) => (held === Infinity ? null : held), 2)
}

function parsedJson(text: string): { readonly value: unknown } | { readonly problem: string } {
  try {
    return { value: JSON.parse(text) }
  } catch (error) {
    return { problem: error instanceof Error ? error.message : 'it cannot be read' }
  }
}

/** A plan document alone is taken as a plan file that leaves the rest out. */
function asFile(value: unknown): unknown {
  return typeof value === 'object' && value !== null && 'rotation' in value
    ? { plan: value }
    : value
}

/** Commands that read a log, of one client or of many, and no plan. */
const LOG_COMMANDS: Readonly<Record<string, typeof verdictsCommand>> = {
  verdicts: verdictsCommand,
  rates: ratesCommand,
}

interface Asked {
  readonly name: string
  readonly file: string
  readonly school: CountingSchoolId | undefined
  readonly on: PlainDate | undefined
}

const OPTIONS = ['--school', '--on'] as const

/** Options with their values, and what stands beside them. */
function optionsIn(args: readonly string[]) {
  const values = new Map<string, string>()
  const rest: string[] = []
  for (let at = 0; at < args.length; at++) {
    const option = OPTIONS.find(name => name === args[at])
    if (option) values.set(option, args[++at] ?? '')
    else rest.push(args[at]!)
  }
  return { values, rest }
}

function asked(args: readonly string[]): Asked | string {
  const { values, rest } = optionsIn(args)
  const school = values.get('--school')
  const on = values.get('--on')
  const [name = '', file, ...others] = rest
  if (!COMMANDS[name] && !LOG_COMMANDS[name])
    return `${name === '' ? 'A command is missing' : `There is no command ${JSON.stringify(name)}`}.\n${USAGE}`
  if (!file) return `A file is missing.\n${USAGE}`
  if (others.length > 0) return `Too many arguments: ${others.join(' ')}.\n${USAGE}`
  const known = COUNTING_SCHOOL_IDS.find(id => id === school)
  if (on !== undefined && !isPlainDate(on))
    return `${JSON.stringify(on)} is not a day. Write it as 2026-04-03.`
  if (school !== undefined && !known)
    return `There is no counting school ${JSON.stringify(school ?? '')}. Choose ${COUNTING_SCHOOL_IDS.join(', ')}.`
  return { name, file, school: known, on: on === undefined ? undefined : plainDate(on) }
}

/** Runs one command over a plan file; reading the file is handed in. */
export function run(
  args: readonly string[],
  readText: (file: string) => string,
  solver?: LinearSolver,
): Outcome {
  const request = asked(args)
  if (typeof request === 'string') return { code: 2, errors: [request] }
  let text: string
  try {
    text = readText(request.file)
  } catch {
    return { code: 1, errors: [`${request.file} cannot be read. Check the name and the rights.`] }
  }
  const json = parsedJson(text)
  if ('problem' in json)
    return { code: 1, errors: [`${request.file} is not valid JSON: ${json.problem}`] }
  const ofLogs = LOG_COMMANDS[request.name]
  if (ofLogs) {
    const logs = (Array.isArray(json.value) ? z.array(LogFile) : LogFile).safeParse(json.value)
    return logs.success
      ? { code: 0, out: jsonText(ofLogs([logs.data].flat(), request.on)) }
      : refused(logs.error)
  }
  return ofPlan(request, json.value, solver)
}

const refused = (error: z.ZodError): Outcome => ({
  code: 1,
  errors: fieldErrors(error.issues).map(({ pointer, detail }) => `${pointer || '/'}: ${detail}`),
})

function ofPlan(request: Asked, value: unknown, solver: LinearSolver | undefined): Outcome {
  const parsed = PlanFile.safeParse(asFile(value))
  if (!parsed.success) return refused(parsed.error)
  const context = contextOf(parsed.data)
  const counted = request.school
    ? { ...context, method: { ...context.method, school: COUNTING_SCHOOLS[request.school] } }
    : context
  return {
    code: 0,
    out: jsonText(
      COMMANDS[request.name]!(parsed.data.plan, counted, {
        solver,
        file: parsed.data,
        on: request.on,
      }),
    ),
  }
}
