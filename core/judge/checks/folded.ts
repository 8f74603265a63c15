import type { CheckId } from './checkTable'
import type { Finding } from './finding'

/** Checks whose findings about several muscles are one fact, told in one line that opens. */
export const FOLDING = [
  'below-floor',
  'above-ceiling',
  'indirect-only',
  'frequency-low',
  'gap-long',
  'rolling-peak',
  'head-uncovered',
  'not-recovered',
] as const satisfies readonly CheckId[]
export type FoldingCheck = (typeof FOLDING)[number]

/** One line of a list of findings: a finding, or several of one kind that open. */
export interface FindingLine {
  readonly check: CheckId
  readonly severity: Finding['severity']
  /** At least one; more than one where the line opens. */
  readonly findings: readonly [Finding, ...Finding[]]
}

/** The lines that findings are told in: those of one kind and severity that differ in the muscle only stand in one, at the place of the first. */
export function findingLines(findings: readonly Finding[]): readonly FindingLine[] {
  const lines = new Map<string, FindingLine>()
  findings.forEach((finding, at) => {
    const { check, severity, place } = finding
    const folds = (FOLDING as readonly CheckId[]).includes(check) && place.group !== undefined
    const key = folds ? `${check} ${severity}` : String(at)
    const known = lines.get(key)
    lines.set(
      key,
      known
        ? { ...known, findings: [...known.findings, finding] }
        : { check, severity, findings: [finding] },
    )
  })
  return [...lines.values()]
}

/** What can hurt comes first: by where its reasons stand, then what costs the plan most. */
const HARM: readonly string[] = ['pain', 'cautions', 'joints']

/** How grave the subject of a check is; the lowest comes first. */
export function harmRank(anchor: string): number {
  const at = HARM.indexOf(anchor)
  return at < 0 ? HARM.length : at
}

/** By how much a limit is missed, as a share of it: what a finding costs the plan. 0 where it has no such figure. */
export function costOf({ figures }: Finding): number {
  const of = (key: string) => {
    const figure = figures[key]
    return typeof figure === 'number' ? figure : undefined
  }
  const [ceiling, limit] = [of('ceiling'), of('limit')]
  const over = (value: number | undefined, most: number | undefined) =>
    value !== undefined && most ? (value - most) / most : 0
  const missing = of('missing')
  const surplus = of('surplus')
  const [required, readiness] = [of('required'), of('readiness')]
  return Math.max(
    0,
    missing === undefined ? 0 : missing / Math.max(1, of('floor') ?? 1),
    surplus === undefined || !ceiling ? 0 : surplus / ceiling,
    over(of('load'), ceiling),
    over(of('minutes'), limit),
    over(of('sets'), limit),
    required === undefined || readiness === undefined ? 0 : (required - readiness) / 100,
  )
}
