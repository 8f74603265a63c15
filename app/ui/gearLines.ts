import {
  type Gear,
  GEAR_FIELDS,
  GEAR_TABLE,
  type GearField,
  gearSentence,
  parsedGear,
} from '#core/plan/estimate'
import { formatSets } from '#core/words'

/** One line of what can be loaded, as it is typed, with what was read. */
export interface GearRow {
  readonly field: GearField
  readonly name: string
  readonly hint: string
  readonly value: string
  readonly complaint: string
  /** `11 weights, 4 to 25 kg`; empty where nothing is typed. */
  readonly read: string
}

const MOST_TOLD = 8

function readWords(field: GearField, text: string): Pick<GearRow, 'complaint' | 'read'> {
  if (text.trim() === '') return { complaint: '', read: '' }
  const line = parsedGear(field, text)
  if (!line.ok) return { complaint: gearSentence(field, line.error), read: '' }
  const { items, unit } = line.value
  const told = items.map(({ weight, count, name }) =>
    [name, weight > 0 ? formatSets(weight) : '', count > 1 ? `× ${count}` : '']
      .filter(Boolean)
      .join(' '),
  )
  const rest = told.length - MOST_TOLD
  const shown = [...told.slice(0, MOST_TOLD), ...(rest > 0 ? [`and ${rest} more`] : [])].join(', ')
  return { complaint: '', read: field === 'bands' ? shown : `${shown} ${unit}` }
}

/** Every line, in the order of the table. */
export const gearRows = (typed: Gear): readonly GearRow[] =>
  GEAR_FIELDS.map(field => ({
    field,
    name: GEAR_TABLE[field].name,
    hint: `${GEAR_TABLE[field].example} (${GEAR_TABLE[field].what})`,
    value: typed[field] ?? '',
    ...readWords(field, typed[field] ?? ''),
  }))

/** Lines that hold something. */
export const typedGear = (typed: Gear): Gear =>
  Object.fromEntries(
    GEAR_FIELDS.flatMap(field => {
      const text = typed[field]?.trim() ?? ''
      return text === '' ? [] : [[field, text]]
    }),
  )
