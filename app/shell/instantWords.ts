import { plainDate } from '#core/base'
import { formatDay } from '#core/words'
import { clockAt } from './clockAt'

const two = (figure: number) => String(figure).padStart(2, '0')

/** An instant by the clock of whoever looks: `Sat 28 Nov 14:05`. */
export function instantWords(at: string): string {
  const time = new Date(at)
  const day = plainDate(`${time.getFullYear()}-${two(time.getMonth() + 1)}-${two(time.getDate())}`)
  return `${formatDay(day)} ${clockAt(time)}`
}
