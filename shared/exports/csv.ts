import type { Row } from '#core/exchange/exports'
import Papa from 'papaparse'

/** Rows as CSV (RFC 4180) with a header line; text that a spreadsheet would take for a formula is disarmed. */
export function csvOf(rows: readonly Row[]): string {
  return `${Papa.unparse([...rows], { escapeFormulae: true })}\r\n`
}

/** Rows of a CSV file by their header, every cell as text; and what the file itself has wrong. */
export function rowsOfCsv(text: string): {
  readonly headers: readonly string[]
  readonly rows: readonly Readonly<Record<string, string>>[]
  readonly complaints: readonly string[]
} {
  const { data, errors, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: header => header.trim(),
  })
  // A single column is a file without a delimiter to be found; that it has too few fields is told by its rows.
  const complaints = errors
    .filter(({ type }) => type === 'Quotes')
    .map(({ row, message }) => `Row ${(row ?? 0) + 1}: ${message}.`)
  return { headers: meta.fields ?? [], rows: data, complaints }
}
