/** How dates and figures are written for whoever reads them. */
export interface Writing {
  /** `Sat 28 Nov`, `Sat Nov 28` or `Sat 2026-11-28`. */
  readonly dates: DateOrder
  readonly decimals: Decimals
  /** Of the names of days and months. */
  readonly language: DateLanguage
}
export const DATE_ORDERS = ['day_month', 'month_day', 'year_first'] as const
export type DateOrder = (typeof DATE_ORDERS)[number]
export const DECIMALS = ['point', 'comma'] as const
export type Decimals = (typeof DECIMALS)[number]
export const DATE_LANGUAGES = ['en', 'de', 'es', 'fr', 'it', 'nl', 'nb', 'sv'] as const
export type DateLanguage = (typeof DATE_LANGUAGES)[number]

export const USUAL_WRITING: Writing = { dates: 'day_month', decimals: 'point', language: 'en' }

let asked: () => Writing | undefined = () => undefined

/**
 * Tells the words how the reader at hand has them written: whoever shows them says so once, when the program starts.
 * Nothing is computed from it; without it everything is written as usual.
 */
export function writeAs(reader: () => Writing | undefined): void {
  asked = reader
}

/** How the reader at hand has dates and figures written. */
export const writing = (): Writing => asked() ?? USUAL_WRITING
