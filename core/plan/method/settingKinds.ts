import { nonEmpty } from '../../base'

interface Common {
  readonly label: string
  readonly part:
    'Counting and dose' | 'Effort' | 'Rest and pairing' | 'Order and form' | 'Block and recovery'
  readonly path: readonly [string, ...string[]]
}

/** One setting of a method that a coach can change, and what it may be. */
export type MethodSetting =
  | (Common & {
      readonly kind: 'number'
      readonly low: number
      readonly high: number
      readonly step: number
      readonly unit: string
    })
  | (Common & {
      readonly kind: 'choice'
      readonly options: readonly { readonly value: string; readonly words: string }[]
    })

type Part = Common['part']
/** A setting in figures; bounds keep a slip of the finger out. */
export const number = (
  part: Part,
  label: string,
  path: string,
  low: number,
  high: number,
  step: number,
  unit = '',
): MethodSetting => ({
  kind: 'number',
  part,
  label,
  path: nonEmpty(path.split('.'), 'path of a setting'),
  low,
  high,
  step,
  unit,
})
/** A setting with a few ways: `value|words`, or the value alone. */
export const choice = (
  part: Part,
  label: string,
  path: string,
  ...options: readonly string[]
): MethodSetting => ({
  kind: 'choice',
  part,
  label,
  path: nonEmpty(path.split('.'), 'path of a setting'),
  options: options.map(option => {
    const [value = '', words = value] = option.split('|')
    return { value, words }
  }),
})
