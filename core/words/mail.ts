/** Who writes, and what. */
interface Mail {
  readonly kind: 'sent' | 'own'
  readonly text: string
  readonly coach: string
  readonly studio: string
}

/** What stands above a mail. A line break in a name would begin another line of the head. */
export const mailSubject = ({ kind, coach, studio }: Omit<Mail, 'text'>): string =>
  (kind === 'sent' ? `Your training plan, ${studio}` : `A message from ${coach}`)
    .replace(/\s+/g, ' ')
    .trim()

/** What stands in it. */
export const mailText = ({ text, coach, studio }: Mail): string =>
  `${text}\n\n${coach}\n${studio}\n\nAn answer to this mail reaches your coach.\n`

/** How a message went by mail. */
export function mailStateWords({
  state,
  to,
  said,
}: {
  readonly state: 'waiting' | 'claimed' | 'sent' | 'unsure' | 'failed'
  readonly to: string
  readonly said: string
}): string {
  switch (state) {
    case 'sent':
      return `Mailed to ${to}`
    case 'waiting':
    case 'claimed':
      return said === '' ? `On its way to ${to}` : `Not taken yet, tried again: ${said}`
    case 'unsure':
      return `Nobody knows whether it reached ${to}: ${said}`
    case 'failed':
      return `Not mailed to ${to}: ${said}`
  }
}
