import { plainDate } from '#core/base'

/** The calendar day it is, the same for the server's and the browser's first drawing of a page. */
export function useToday() {
  return useState('today', () => {
    const now = (useRequestEvent()?.context.now as Date | undefined) ?? new Date()
    const two = (part: number) => String(part).padStart(2, '0')
    return plainDate(`${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`)
  })
}
