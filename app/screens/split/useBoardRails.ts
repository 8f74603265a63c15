import { ARM_GROUPS, BUNDLES, type Group, GROUP_MUSCLES } from '#core/plan/catalogue'
import { type Rail, type RailView, railView, type RotationLedger } from '#core/count/ledger'
import type { PlanContext } from '#core/plan/method'
import { familyOfGroup, type PegFamily } from '~/ui/pegFamily'

/** One line as the board draws it. */
export interface BoardRail {
  readonly key: string
  readonly family: PegFamily
  readonly size: 'arm' | 'head' | 'small'
  readonly view: RailView
  /** Null where there is nothing to open. */
  readonly opens: { readonly key: string; readonly isOpen: boolean; readonly words: string } | null
}

/** The lines of the board: arm groups in detail, the rest of the body folded; both open to what they hold. */
export function useBoardRails() {
  const open = ref<ReadonlySet<string>>(new Set())

  function toggle(key: string): void {
    const next = new Set(open.value)
    if (!next.delete(key)) next.add(key)
    open.value = next
  }

  function railsOf(
    ledger: RotationLedger | null,
    context: PlanContext | null,
  ): readonly BoardRail[] {
    if (!ledger || !context) return []
    const line = (rail: Rail, part: Omit<BoardRail, 'view'>): BoardRail => ({
      ...part,
      view: railView(ledger, rail, context),
    })
    return [
      ...ARM_GROUPS.flatMap(group => armLines(group, open.value, line)),
      ...BUNDLES.flatMap(bundle => bodyLines(bundle, open.value, line)),
    ]
  }
  return { railsOf, toggle }
}

type Line = (rail: Rail, part: Omit<BoardRail, 'view'>) => BoardRail

function armLines(group: Group, open: ReadonlySet<string>, line: Line): readonly BoardRail[] {
  const family = familyOfGroup(group)
  const heads = GROUP_MUSCLES[group]
  const isOpen = open.has(group)
  const own = line(
    { kind: 'group', group },
    {
      key: group,
      family,
      size: 'arm',
      opens: { key: group, isOpen, words: `${heads.length} heads` },
    },
  )
  return [
    own,
    ...(isOpen
      ? heads.map(muscle =>
          line({ kind: 'head', group, muscle }, { key: muscle, family, size: 'head', opens: null }),
        )
      : []),
  ]
}

function bodyLines(
  { id, groups }: (typeof BUNDLES)[number],
  open: ReadonlySet<string>,
  line: Line,
): readonly BoardRail[] {
  const isOpen = open.has(id)
  const opens = groups.length > 1 ? { key: id, isOpen, words: `${groups.length} groups` } : null
  const own = line(
    { kind: 'bundle', bundle: id },
    { key: id, family: 'body', size: 'small', opens },
  )
  return [
    own,
    ...(isOpen
      ? groups.map(group =>
          line(
            { kind: 'group', group },
            { key: `group-${group}`, family: 'body', size: 'head', opens: null },
          ),
        )
      : []),
  ]
}
