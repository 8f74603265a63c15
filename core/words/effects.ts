import type { CreditEffect } from '../count/ledger'
import { formatOneDecimal } from './figures'
import { GROUP_NAMES } from './names'

function amount({ least, most, isMixed }: CreditEffect): string {
  const [from, to] = [formatOneDecimal(Math.abs(least)), formatOneDecimal(Math.abs(most))]
  if (isMixed) return `by up to ${to} sets, some up, some down`
  const size = from === to ? to : `${from} to ${to}`
  return `${most > 0 ? 'up' : 'down'} by ${size} ${size === '1.0' ? 'set' : 'sets'}`
}

/** `4 clients’ weekly triceps up by 0.5 to 2.0 sets`. */
export function effectWords(effect: CreditEffect): string {
  return `${effect.clients} ${effect.clients === 1 ? 'client’s' : 'clients’'} weekly ${GROUP_NAMES[effect.group].toLowerCase()} ${amount(effect)}`
}
