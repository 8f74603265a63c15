import { CHECKS, type Finding, findingKey } from '#core/judge/checks'
import { dayWords, findingSentence } from '#core/words'

const REASONS = new Map(CHECKS.map(({ id, reason }) => [id, reason]))

/** A finding as a screen tells it. */
export interface WordedFinding {
  readonly finding: Finding
  readonly key: string
  readonly sentence: string
  readonly place: string
  readonly reason: string
  readonly hasFix: boolean
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
    }
  }
  return {
    worded,
    findings: useAfterPaint(() => store.findings.map(worded)),
    dismissed: computed(() =>
      store.dismissed.map(finding => ({
        ...worded(finding),
        note:
          store.plan?.dismissed?.find(entry => entry.finding === findingKey(finding))?.note ?? '',
      })),
    ),
  }
}
