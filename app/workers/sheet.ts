import { read, utils } from '@e965/xlsx'

/** A sheet of a file: its cells as they are shown, row by row. */
export interface OpenedSheet {
  readonly name: string
  readonly rows: readonly (readonly string[])[]
  /** The sheet goes on below what was read. */
  readonly isCut: boolean
}
export type SheetAnswer =
  | { readonly kind: 'sheets'; readonly sheets: readonly OpenedSheet[] }
  | { readonly kind: 'unreadable' }

/** A plan has fewer rows; what comes after is not looked at, which is told. */
const MOST_ROWS = 2000
const MOST_SHEETS = 20

/** XLSX, ODS, XLS or CSV; macros and formulas are not run, a formula counts as what it last came to. */
function opened(data: ArrayBuffer): SheetAnswer {
  const book = read(data, { type: 'array', dense: true, sheetRows: MOST_ROWS + 1 })
  const sheets = book.SheetNames.slice(0, MOST_SHEETS).flatMap(name => {
    const sheet = book.Sheets[name]
    if (!sheet) return []
    const cells = utils.sheet_to_json<unknown[]>(sheet, {
      header: 1,
      raw: false,
      defval: '',
      blankrows: true,
    })
    const rows = cells.slice(0, MOST_ROWS).map(row => Array.from(row, cell => String(cell ?? '')))
    return [{ name, rows, isCut: cells.length > MOST_ROWS }]
  })
  return { kind: 'sheets', sheets: sheets.filter(({ rows }) => rows.length > 0) }
}

self.addEventListener('message', ({ data }: MessageEvent<ArrayBuffer>) => {
  let answer: SheetAnswer
  try {
    answer = opened(data)
  } catch {
    answer = { kind: 'unreadable' }
  }
  self.postMessage(answer)
})
