import type { PlainDate } from '../../base'
import type { Catalogue } from '../../plan/catalogue'
import { saidAmount } from '../../plan/estimate'
import { slotName } from '../../words'
import { LAPSE_WORDS, type LoggedSet } from '../../body/log'
import type { WeightUnit } from '../../plan/scheme'
import type { Row } from './planRows'

/** A logged set with its day and session. */
export interface LogLineOut extends LoggedSet {
  readonly on: PlainDate
  readonly session: string
  readonly unit: WeightUnit
}

/** One row for each part of each set as it was done. Columns: docs/formats.md#log-csv; an import of the same file gives the same sets. */
export function logRows(sets: readonly LogLineOut[], catalogue: Catalogue): readonly Row[] {
  return sets.map(
    ({
      on,
      session,
      exercise,
      intent,
      set,
      stage,
      side,
      role,
      loadKg,
      unit,
      reps,
      seconds,
      rir,
      isRirOpen,
      lapses,
    }): Row => ({
      date: on,
      session,
      exercise_id: exercise,
      exercise: slotName({ exercise, intent: null }, catalogue),
      purpose: intent ?? '',
      set,
      part: stage,
      side: side ?? '',
      role,
      load: loadKg === null ? '' : saidAmount(loadKg, unit),
      unit: loadKg === null ? '' : unit,
      reps: reps ?? '',
      seconds: seconds ?? '',
      rir: rir === null ? '' : isRirOpen ? `${rir}+` : rir,
      form: (lapses ?? []).map(lapse => LAPSE_WORDS[lapse]).join('; '),
    }),
  )
}
