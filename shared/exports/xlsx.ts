import type { Row } from '#core/exchange/exports'
import { utils, write } from '@e965/xlsx'

/** What a spreadsheet would take for a formula where it begins a cell. */
const FORMULA = /^[=+\-@\t\r]/
const disarmed = (value: string | number) =>
  typeof value === 'string' && FORMULA.test(value) ? `'${value}` : value

/** Tables as one XLSX file, a sheet each; text that a spreadsheet would take for a formula is disarmed. Source: docs/formats.md. */
export function xlsxOf(
  sheets: readonly { readonly name: string; readonly rows: readonly Row[] }[],
): Buffer {
  const book = utils.book_new()
  for (const { name, rows } of sheets) {
    const cells = rows.map(row =>
      Object.fromEntries(Object.entries(row).map(([key, value]) => [key, disarmed(value)])),
    )
    utils.book_append_sheet(book, utils.json_to_sheet(cells), name)
  }
  return write(book, { type: 'buffer', bookType: 'xlsx', compression: true }) as Buffer
}
