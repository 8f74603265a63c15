import type { Row } from '#core/exports'
import Papa from 'papaparse'

/** Rows as CSV (RFC 4180) with a header line; text that a spreadsheet would take for a formula is disarmed. */
export function csvOf(rows: readonly Row[]): string {
  return `${Papa.unparse([...rows], { escapeFormulae: true })}\r\n`
}
