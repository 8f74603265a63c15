import { applyEdits } from '#core/plan/block'
import type { Group } from '#core/plan/catalogue'
import { canBeDismissed, type Finding, findingKey } from '#core/judge/checks'
import { railGroups } from '#core/count/ledger'
import type { Arrival } from '#core/body/recovery'
import type { BoardRail } from './useBoardRails'
import type { BoardPanel, ShownBoard } from './useShownBoard'
import { newId } from '~/shell/newId'

/** What stands over the board, and the findings: shown where they are, fixed, dismissed. */
export function useBoardFindings(board: ShownBoard) {
  const { store, rails, recovery, place, opened, tried, say, report, select, toggle } = board
  const noticeAt = ref(-1)
  const notice = computed((): Finding | null =>
    noticeAt.value < 0 ? null : (store.findings[noticeAt.value] ?? null),
  )

  function open(panel: BoardPanel): void {
    tried.value = null
    opened.value = opened.value === panel ? null : panel
  }

  function close(): void {
    tried.value = null
    opened.value = null
  }

  /** Shows what a fix would do, without doing it. */
  function tryFix(finding: Finding | null): void {
    const fixed =
      finding?.fix && store.plan ? applyEdits(store.plan, finding.fix, newId) : undefined
    tried.value = fixed?.ok ? fixed.value : null
  }

  function applyFix(finding: Finding): void {
    tried.value = null
    if (finding.fix && report(store.editAll(finding.fix))) say('Fixed. Z undoes it.')
  }

  function dismiss(finding: Finding, note: string): void {
    opened.value = opened.value === 'dismiss' ? null : opened.value
    if (report(store.edit({ kind: 'dismiss', finding: findingKey(finding), note })))
      say('Dismissed. The checks panel lists it, and brings it back.')
  }

  function bringBack(finding: Finding): void {
    report(store.edit({ kind: 'undismiss', finding: findingKey(finding) }))
  }

  function dismissNotice(): void {
    if (notice.value) opened.value = 'dismiss'
    else say('N chooses something to look at first.')
  }

  function showFinding(finding: Finding): void {
    noticeAt.value = store.findings.findIndex(other => findingKey(other) === findingKey(finding))
    const { day, group } = finding.place
    if (group) showGroup(group)
    if (day !== undefined) select({ rail: place.value.rail, day })
  }

  function nextNotice(): void {
    const { length } = store.findings
    noticeAt.value = length > 0 ? (noticeAt.value + 1) % length : -1
    if (notice.value) showFinding(notice.value)
  }

  /** Selects the line that shows a group, opening a folded one if need be. */
  function showGroup(group: Group): void {
    const own = rails.value.findIndex(
      ({ view: { rail } }) => rail.kind === 'group' && rail.group === group,
    )
    if (own >= 0) return select({ rail: own, day: place.value.day })
    const folded = rails.value.find(
      ({ view: { rail } }) => rail.kind === 'bundle' && railGroups(rail).includes(group),
    )
    if (!folded?.opens)
      return select({ rail: rails.value.findIndex(rail => rail === folded), day: place.value.day })
    toggle(folded.opens.key)
    select({
      rail: rails.value.findIndex(
        ({ view: { rail } }) => rail.kind === 'group' && rail.group === group,
      ),
      day: place.value.day,
    })
  }

  /** The exposure of a folded line's groups that falls furthest short on a day. */
  function worstArrival(rail: BoardRail, day: number): Arrival | null {
    const short = railGroups(rail.view.rail).flatMap(
      group =>
        recovery.value?.arrivals[group].filter(
          arrival => arrival.day === day && arrival.thread !== 'whole',
        ) ?? [],
    )
    return short.sort((a, b) => a.readiness - b.readiness)[0] ?? null
  }

  return {
    noticeAt,
    notice,
    noticeKey: computed(() => notice.value && findingKey(notice.value)),
    isFirm: computed(() => notice.value !== null && !canBeDismissed(notice.value)),
    open,
    close,
    tryFix,
    applyFix,
    dismiss,
    bringBack,
    dismissNotice,
    showFinding,
    nextNotice,
    showGroup,
    worstArrival,
  }
}
