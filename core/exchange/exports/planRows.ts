import { type Group, GROUPS, JOINTS, requireExercise } from '../../plan/catalogue'
import { GROUP_NAMES, GROUPING_NAMES, JOINT_NAMES, slotName, wholeReadiness } from '../../words'
import type { PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import type { BlockSession, BlockVerdict, ExpandedBlock } from '../../design/progress'
import { leadRir, plannedSets } from '../../plan/scheme'
import { formatScheme } from '../../plan/shorthand'

/** A row of a table that goes out as CSV: the same columns in every row. */
export type Row = Readonly<Record<string, string | number>>

const round = (value: number, digits = 2) => Number(value.toFixed(digits))

/** How a session stands: planned, sent, done, or left out for an event. */
export function sessionState({ isSkipped, sent }: BlockSession): string {
  if (sent?.isDone) return 'done'
  if (sent) return 'sent'
  return isSkipped ? 'left out' : 'planned'
}

/** One row for each exercise of each dated session. Columns: docs/formats.md. */
export function planRows({ passes }: ExpandedBlock, context: PlanContext): readonly Row[] {
  return passes.flatMap(({ at, isDeload, sessions }) =>
    sessions.flatMap(session =>
      session.content.groupings.flatMap((grouping, g) =>
        grouping.slots.map((slot, s): Row => {
          const first = slot.scheme.runs.find(({ role }) => role !== 'warmup')
          return {
            rotation: at + 1,
            deload: isDeload ? 'yes' : 'no',
            date: session.on,
            day: session.day + 1,
            session: session.place + 1,
            name: session.name,
            state: sessionState(session),
            order: `${g + 1}${grouping.slots.length > 1 ? ('abcdefgh'[s] ?? '') : ''}`,
            done_together: grouping.slots.length > 1 ? GROUPING_NAMES[grouping.kind] : '',
            exercise: slotName(slot, context.catalogue),
            exercise_id: requireExercise(context.catalogue, slot.exercise).id,
            sets: plannedSets(slot.scheme),
            rir: (first && leadRir(first)) ?? '',
            scheme: formatScheme(slot.scheme),
            note: slot.note ?? '',
          }
        }),
      ),
    ),
  )
}

/** Counted sets of each muscle and pass against its band. Units: sets per 7 days. */
export function volumeRows(
  { passes }: BlockVerdict,
  groups: readonly Group[] = GROUPS,
): readonly Row[] {
  return passes.flatMap(({ pass, ledger }) =>
    groups.map((group): Row => {
      const { week, band } = ledger.groups[group]
      return {
        rotation: pass.at + 1,
        from: pass.from,
        muscle: GROUP_NAMES[group],
        direct: round(week.direct.value),
        indirect: round(week.indirect.value),
        counted: round(week.counted.value),
        floor: round(band.floor),
        target: round(band.target),
        ceiling: round(band.ceiling),
      }
    }),
  )
}

/** Effort, sets and minutes of each pass. */
export function effortRows({ passes }: BlockVerdict): readonly Row[] {
  return passes.map(({ pass, sets, minutes }): Row => ({
    rotation: pass.at + 1,
    from: pass.from,
    deload: pass.isDeload ? 'yes' : 'no',
    rir_compound: pass.rir?.compound ?? '',
    rir_single_joint: pass.rir?.isolation ?? '',
    sets,
    minutes: Math.round(minutes),
  }))
}

/** Readiness at each exposure along the dates. Units: percent. */
export function readinessRows(
  { arrivals }: BlockVerdict,
  groups: readonly Group[] = GROUPS,
): readonly Row[] {
  return groups.flatMap(group =>
    arrivals[group].map(({ on, pass, name, readiness, required, role }): Row => ({
      muscle: GROUP_NAMES[group],
      date: on,
      rotation: pass + 1,
      session: name,
      readiness: wholeReadiness(readiness),
      asked_for: required,
      work: role,
    })),
  )
}

/** Joints by pass: the largest seven days, the hardest session, and the rise against the passes before. Units: points. */
export function jointRows({ passes }: BlockVerdict): readonly Row[] {
  return passes.flatMap(({ pass, joints }) =>
    JOINTS.map((joint): Row => {
      const { week, session, ramp } = joints[joint]
      return {
        rotation: pass.at + 1,
        from: pass.from,
        joint: JOINT_NAMES[joint],
        seven_days: round(week, 1),
        hardest_session: round(session, 1),
        times_the_weeks_before: ramp.kind === 'no_history' ? '' : round(ramp.ramp),
      }
    }),
  )
}

/** Minutes and exercises of a session, for a calendar entry. */
export function sessionLines(
  { content }: BlockSession,
  context: PlanContext,
): { readonly sets: number; readonly minutes: number; readonly lines: readonly string[] } {
  return {
    sets: content.groupings.reduce(
      (sum, { slots }) => sum + slots.reduce((part, { scheme }) => part + plannedSets(scheme), 0),
      0,
    ),
    minutes: Math.round(sessionSeconds(content, context) / 60),
    lines: content.groupings.flatMap(({ slots }, g) =>
      slots.map(
        (slot, s) =>
          `${g + 1}${slots.length > 1 ? ('abcdefgh'[s] ?? '') : ''} ${slotName(slot, context.catalogue)}: ${formatScheme(slot.scheme)}`,
      ),
    ),
  }
}
