import type { Cell, CellWorth } from './problem'

/** Coefficients of a row, by variable. */
export type Terms = readonly (readonly [name: string, coefficient: number])[]

/** Name of the variable that holds a cell's sets. */
export const y = ({ at }: Pick<Cell, 'at'>) => `y${at}`
/** Name of the variable that says whether a cell has any. */
export const x = ({ at }: Pick<Cell, 'at'>) => `x${at}`

const MOST_SETS = 40
const NEARLY_NOTHING = 1e-9
const DIGITS = 12

/** Most or least that one set gives, over the numbers of sets a cell may have. */
export function perSet(
  { worth, values }: Cell,
  of: (worth: CellWorth) => number,
  which: 'most' | 'least',
): number {
  const shares = values.filter(sets => sets > 0).map(sets => of(worth[sets] as CellWorth) / sets)
  return which === 'most' ? Math.max(...shares) : Math.min(...shares)
}

function added(terms: Terms): ReadonlyMap<string, number> {
  const row = new Map<string, number>()
  for (const [name, value] of terms)
    if (Math.abs(value) > NEARLY_NOTHING) row.set(name, (row.get(name) ?? 0) + value)
  return row
}

function written([name, value]: readonly [string, number]): string {
  return `${value < 0 ? '-' : '+'} ${Number(Math.abs(value).toPrecision(DIGITS))} ${name}`
}

/** A mixed-integer linear program that is minimised, built row by row; every variable is 0 or more. */
export function linearModel() {
  const rows: string[] = []
  const costs = new Map<string, number>()
  const [wholes, binaries] = [new Set<string>(), new Set<string>()]

  function add(terms: Terms, sense: '<=' | '>=', bound: number): void {
    const row = added(terms)
    // A row without a variable says nothing that could be changed.
    if (row.size > 0)
      rows.push(
        ` c${rows.length}: ${[...row].map(written).join(' ')} ${sense} ${Number(bound.toPrecision(DIGITS))}`,
      )
  }
  function atLeast(terms: Terms, bound: number): void {
    add(terms, '>=', bound)
  }
  return {
    /** A variable that is 1 as soon as one of some others is; gives its name. */
    whenAny(name: string, others: readonly string[]): string {
      binaries.add(name)
      for (const other of others)
        atLeast(
          [
            [name, 1],
            [other, -1],
          ],
          0,
        )
      return name
    },
    atLeast,
    whole: (name: string) => void wholes.add(name),
    binary: (name: string) => void binaries.add(name),
    cost: (name: string, price: number) => void costs.set(name, price),
    atMost: (terms: Terms, bound: number) => add(terms, '<=', bound),
    /** The model in the CPLEX LP format. */
    text: () =>
      [
        'Minimize',
        ` v: ${[...costs].map(written).join(' ')}`,
        'Subject To',
        ...rows,
        'Bounds',
        ...[...wholes].map(name => ` 0 <= ${name} <= ${MOST_SETS}`),
        'Generals',
        ` ${[...wholes].join(' ')}`,
        'Binaries',
        ` ${[...binaries].join(' ')}`,
        'End',
      ].join('\n'),
  }
}

export type LinearModel = ReturnType<typeof linearModel>
