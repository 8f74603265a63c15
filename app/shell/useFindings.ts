import {
  CHECKS,
  type Finding,
  findingKey,
  type FindingLine,
  findingLines,
} from '#core/judge/checks'
import { dayWords, findingLineSentence, findingSentence, noFixWords } from '#core/words'

const REASONS = new Map(CHECKS.map(({ id, reason }) => [id, reason]))

/** A finding as a screen tells it. */
export interface WordedFinding {
  readonly finding: Finding
  readonly key: string
  readonly sentence: string
  readonly place: string
  readonly reason: string
  readonly hasFix: boolean
  /** Why there is no fix; empty where there is one. */
  readonly noFix: string
}

/** One line of a list of findings; it opens where it stands for more than one. */
export interface WordedLine extends WordedFinding {
  readonly parts: readonly WordedFinding[]
}

/** Findings of the plan in words: what, where, why, and whether there is a fix. */
export function useFindings() {
  const store = usePlanStore()
  function worded(finding: Finding): WordedFinding {
    const { day } = finding.place
    const held = day === undefined ? undefined : store.plan?.rotation.days[day]
    return {
      finding,
      key: findingKey(finding),
      sentence: findingSentence(finding),
      place: held && day !== undefined ? dayWords(held, day) : '',
      reason: REASONS.get(finding.check) ?? '',
      hasFix: (finding.fix?.length ?? 0) > 0,
      noFix: noFixWords(finding),
    }
  }
  function wordedLine(line: FindingLine): WordedLine {
    const [first, ...others] = line.findings
    const own = worded(first)
    if (others.length === 0) return { ...own, parts: [] }
    return {
      ...own,
      key: `line ${line.check} ${line.severity}`,
      sentence: findingLineSentence(line),
      place: '',
      hasFix: false,
      noFix: '',
      parts: line.findings.map(worded),
    }
  }
  return {
    worded,
    /** One fact a line. */
    findings: useAfterPaint(() => findingLines(store.findings).map(wordedLine)),
    dismissed: computed(() =>
      store.dismissed.map(finding => ({
        ...worded(finding),
        note:
          store.plan?.dismissed?.find(entry => entry.finding === findingKey(finding))?.note ?? '',
      })),
    ),
  }
}
