import { plainDate } from '#core/base'
import { formatDate } from '#core/words'
import type { Retention, RetentionView } from '#shared/contracts/retention'

const MOST_NAMES = 5

const after = (months: number): string => {
  if (months % 12 !== 0) return `after ${months} months`
  return months === 12 ? 'after a year' : `after ${months / 12} years`
}

interface Line {
  readonly name: keyof Retention
  readonly label: string
  readonly words: (choice: number | null) => string
}
const monthsWords = (months: number | null) =>
  months === null ? 'Kept' : `Erased ${after(months)}`

/** The rules as the form has them. */
export const RETENTION_LINES: readonly Line[] = [
  {
    name: 'archivedMonths',
    label: 'Clients in the archive, with everything about them',
    words: monthsWords,
  },
  { name: 'messageMonths', label: 'Messages that went out', words: monthsWords },
  {
    name: 'revisions',
    label: 'Earlier versions of each plan that have no name',
    words: kept => (kept === null ? 'All kept' : `The latest ${kept} kept`),
  },
]

const counted = (count: number, one: string, many: string) =>
  count === 0 ? [] : [`${count} ${count === 1 ? one : many}`]

/** What the rules mean as things stand: `From 2 December this erases Joren and 12 messages.` */
export function dueWords({ retention, from, due }: RetentionView): string {
  if (from === null || Object.values(retention).every(rule => rule === null))
    return 'Nothing is erased by itself.'
  const named = due.clients.slice(0, MOST_NAMES)
  const parts = [
    ...named,
    ...counted(due.clients.length - named.length, 'more client', 'more clients'),
    ...counted(due.messages, 'message', 'messages'),
    ...counted(due.revisions, 'earlier version', 'earlier versions'),
  ]
  const on = formatDate(plainDate(from.slice(0, 10)))
  return parts.length === 0
    ? `Followed from ${on} on. Nothing is old enough today.`
    : `Followed from ${on} on. As things stand it erases ${parts.join(', ')}.`
}
