import { type Exercise, requireExercise } from '../../plan/catalogue'
import { effortWords, loadWords, repsWords, restWords, setUpWords, stageWords } from '../../words'
import { type PlanContext, sidesRule } from '../../plan/method'
import { restBetweenArms, sideOrderOf } from '../../plan/minutes'
import {
  nominalReps,
  type Reps,
  restSeconds,
  type SetRun,
  type SetScheme,
  type Stage,
  statedRir,
  type WorkStage,
} from '../../plan/scheme'
import type { BodySide } from '../../body/log'
import type { SlotLoads } from '../../design/loads'
import type { PartLoad, SheetPart, SheetSet } from '../../follow/sheet'

/** Rest inside a set where the plan only says that there is one. */
const OPEN_REST = 15

/** Which of two sides begins. */
function sidesOf(
  run: SetRun,
  exercise: Exercise,
  isPaired: boolean,
  { client }: PlanContext,
): readonly (BodySide | null)[] {
  const order = sideOrderOf(run, exercise, isPaired)
  if (order === 'together') return [null]
  if (order === 'one') return [run.side ?? null]
  const first = sidesRule(client, exercise.id)?.weak ?? run.startSide ?? 'left'
  return first === 'right' ? ['right', 'left'] : ['left', 'right']
}

/** The later side stops at the reps of the weak one, where the client's rule says so. */
function stoppedAt(part: SheetPart, exercise: Exercise, { client }: PlanContext): SheetPart {
  const sides = sidesRule(client, exercise.id)
  if (sides?.rule !== 'match' || part.side === null || part.side === sides.weak) return part
  const words = part.stage === 1 ? `${part.words}, no more than the ${sides.weak} did` : part.words
  return { ...part, words, stopsAt: sides.weak }
}

function countOf(reps: Reps | undefined, before: readonly (number | null)[]): number | null {
  if (reps?.kind === 'same_as') return before[reps.stage] ?? null
  if (reps?.kind === 'until_total')
    return Math.max(0, reps.total - before.reduce<number>((sum, count) => sum + (count ?? 0), 0))
  return nominalReps(reps) ?? null
}

function ownLoad({ load }: WorkStage): PartLoad | undefined {
  switch (load?.kind) {
    case undefined:
      return undefined
    case 'weight':
      return { kind: 'weight', amount: load.amount }
    case 'stack_position':
      return { kind: 'weight', amount: load.position }
    case 'drop_percent':
      return { kind: 'share', of: load.from, share: 1 - load.percent / 100 }
    case 'drop_weight':
      return { kind: 'less', of: load.from, amount: load.amount }
    case 'drop_open':
      return { kind: 'share', of: 'previous', share: OPEN_DROP }
    case 'bodyweight':
    case 'band':
      return { kind: 'none' }
    case 'percent_of_e1rm':
    case 'percent_of_usual':
    case 'than_before':
    case 'in_words':
      return { kind: 'open' }
  }
}
/** How much lighter a drop is where the plan leaves it to the client. */
const OPEN_DROP = 0.75

function isUnloaded({ loadBasis }: Exercise): boolean {
  return loadBasis === 'band' || loadBasis === 'angle'
}

interface Setting {
  readonly run: SetRun
  readonly exercise: Exercise
  readonly context: PlanContext
  readonly loads: SlotLoads | null
  /** Set of the exercise among those that are no warm-up, from 0. */ readonly at: number
  readonly isPaired: boolean
}

function leadLoad(stage: WorkStage, { run, exercise, loads, at }: Setting): PartLoad {
  const own = ownLoad(stage)
  const known = run.role === 'warmup' ? null : (loads?.sets[at]?.amount ?? null)
  if (known !== null && own?.kind !== 'none') return { kind: 'weight', amount: known }
  if (own && own.kind !== 'open') return own
  if (
    isUnloaded(exercise) ||
    exercise.equipment.every(piece => piece === 'bodyweight' || piece === 'bench')
  )
    return { kind: 'none' }
  return { kind: 'open' }
}

/** A later part with a weight of its own goes along with the set it belongs to. */
function laterLoad(stage: WorkStage, exercise: Exercise, { loads }: Setting): PartLoad {
  const own = ownLoad(stage)
  if (!own)
    return isUnloaded(exercise) ? { kind: 'none' } : { kind: 'share', of: 'previous', share: 1 }
  return own.kind === 'weight' && loads
    ? { kind: 'weight', amount: Math.max(0, own.amount + loads.shift) }
    : own
}

/** Reps in words, those of the load rule where it has an aim of its own. */
function aimWords(stage: WorkStage, exercise: Exercise, aim: number | undefined): string {
  const unit = exercise.repUnit === 'seconds' ? 's' : 'reps'
  const said = repsWords(stage.reps)
  const range = /^[\d.–]+$/.test(said) ? `${said} ${unit}` : said
  return aim !== undefined && stage.reps?.kind === 'between' ? `${range}, aim for ${aim}` : range
}

function workPart(
  stage: WorkStage,
  setting: Setting,
  more: {
    readonly number: number
    readonly side: BodySide | null
    readonly restBefore: number
    readonly counts: readonly (number | null)[]
  },
): SheetPart {
  const { context, loads, at } = setting
  const exercise = stage.exercise
    ? requireExercise(context.catalogue, stage.exercise.id)
    : setting.exercise
  const isLead = more.number === 1
  const aim =
    isLead && setting.run.role === 'working' ? (loads?.sets[at]?.target ?? undefined) : undefined
  const countWords = aimWords(stage, exercise, aim)
  return {
    stage: more.number,
    side: more.side,
    kind: 'work',
    count: (stage.reps?.kind === 'between' ? aim : undefined) ?? countOf(stage.reps, more.counts),
    countWords,
    rir: statedRir(stage) ?? null,
    // A weight stands in its field already; what has no number, and drops, are said.
    words: [
      aimWords(stage, exercise, undefined),
      stage.repsInAll ? 'in all' : '',
      stage.load?.kind === 'weight' ? '' : loadWords(stage.load),
      effortWords(stage.effort),
      setUpWords(stage),
    ]
      .filter(Boolean)
      .join(', '),
    load: isLead ? leadLoad(stage, { ...setting, exercise }) : laterLoad(stage, exercise, setting),
    restBefore: more.restBefore,
    as: stage.exercise ? exercise.name : null,
  }
}

/** A set made of parts says in its first one what they come to: `7 + 7 + 7 = 21`. */
function withSum(parts: readonly SheetPart[]): readonly SheetPart[] {
  const [first, ...later] = parts
  const work = parts.filter(({ kind }) => kind === 'work')
  const counts = work.flatMap(({ count }) => count ?? [])
  if (!first || first.kind !== 'work' || counts.length < 2 || counts.length < work.length)
    return parts
  const sum = counts.reduce((all, count) => all + count, 0)
  return [{ ...first, words: `${first.words}; ${counts.join(' + ')} = ${sum}` }, ...later]
}

/** The parts of one set on one side. */
function partsOn(side: BodySide | null, setting: Setting): readonly SheetPart[] {
  const parts: SheetPart[] = []
  const counts: (number | null)[] = []
  let restBefore = 0
  setting.run.stages.forEach((stage: Stage, place) => {
    if (stage.kind === 'rest') {
      restBefore += restSeconds(stage.rest) ?? OPEN_REST
      return
    }
    const number = parts.length + 1
    const part: SheetPart =
      stage.kind === 'hold'
        ? {
            stage: number,
            side,
            kind: 'hold',
            words: stageWords(stage, setting.context.catalogue),
            count: stage.seconds ?? null,
            countWords: stage.seconds === undefined ? 'as long as you can' : `${stage.seconds} s`,
            rir: null,
            load: { kind: 'none' },
            restBefore,
            as: null,
          }
        : workPart(stage, setting, { number, side, restBefore, counts })
    counts[place] = part.count
    parts.push(part)
    restBefore = 0
  })
  return withSum(parts)
}

/**
 * Every set of an exercise as the phone logs it: parts in the order they are done, side after side where sides differ.
 *
 * Shape: one entry per set, warm-up sets among them, in the order of the scheme.
 * Edge:  a set without a work or hold stage is left out.
 */
export function sheetSets(
  scheme: SetScheme,
  exercise: Exercise,
  context: PlanContext,
  { loads, isPaired }: { readonly loads: SlotLoads | null; readonly isPaired: boolean },
): readonly SheetSet[] {
  const numbers = { warmup: 0, other: 0 }
  return scheme.runs.flatMap(run =>
    Array.from({ length: run.count }, (): SheetSet[] => {
      const kind = run.role === 'warmup' ? 'warmup' : 'other'
      const setting: Setting = { run, exercise, context, loads, at: numbers.other, isPaired }
      const [first, ...others] = sidesOf(run, exercise, isPaired, context).flatMap((side, n) =>
        partsOn(side, setting)
          .map(part => stoppedAt(part, exercise, context))
          .map((part, p) =>
            n > 0 && p === 0
              ? {
                  ...part,
                  restBefore: Math.max(part.restBefore, restBetweenArms(run, exercise, isPaired)),
                }
              : part,
          ),
      )
      if (!first) return []
      return [
        {
          role: run.role,
          number: (numbers[kind] += 1),
          parts: [first, ...others],
          onlyIf:
            run.onlyIf ?? (run.restAfter?.kind === 'in_words' ? restWords(run.restAfter) : null),
        },
      ]
    }).flat(),
  )
}
