import type { Attention } from '../count/ledger'
import { formatOneDecimal } from './figures'
import { GROUP_NAMES } from './names'

/** `Biceps 0.5 over ceiling`, in two parts so that a screen can weigh them. */
export function attentionWords(attention: Attention): {
  readonly subject: string
  readonly matter: string
} {
  const amount = formatOneDecimal(attention.sets)
  return {
    subject: GROUP_NAMES[attention.group],
    matter: attention.kind === 'under_floor' ? `${amount} under floor` : `${amount} over ceiling`,
  }
}
