import type { Cell, CellWorth } from './cells'

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

/** A row of a model; `hurdle` names the limit that it stands for, where it is one. */
interface Row {
  readonly text: string
  readonly hurdle: string | undefined
}

/** How a model is written out. */
export interface Writing {
  /** Hurdles that are left out. */
  readonly without?: ReadonlySet<string>
  /** Whether parts of sets are allowed; what is impossible then is impossible with whole ones. */
  readonly inParts?: boolean
}

/** A mixed-integer linear program that is minimised, built row by row; every variable is 0 or more. */
export function linearModel() {
  const rows: Row[] = []
  const costs = new Map<string, number>()
  /** The want whose miss a variable is, by variable. */
  const missed = new Map<string, string>()
  const [wholes, binaries] = [new Set<string>(), new Set<string>()]

  function add(terms: Terms, sense: '<=' | '>=', bound: number, hurdle?: string): void {
    const row = added(terms)
    // A row without a variable says nothing that could be changed.
    if (row.size > 0)
      rows.push({
        text: `${[...row].map(written).join(' ')} ${sense} ${Number(bound.toPrecision(DIGITS))}`,
        hurdle,
      })
  }
  const atLeast = (terms: Terms, bound: number) => add(terms, '>=', bound)
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
    /** A variable that costs; `want` says what is missed by it. */
    cost(name: string, price: number, want?: string): void {
      costs.set(name, price)
      if (want !== undefined) missed.set(name, want)
    },
    /** What costs by now may cost no more than this altogether; from here on other things cost. */
    limitCosts(most: number): void {
      add([...costs], '<=', most)
      costs.clear()
    },
    atMost: (terms: Terms, bound: number, hurdle?: string) => add(terms, '<=', bound, hurdle),
    missed: missed as ReadonlyMap<string, string>,
    hurdles: () => new Set(rows.flatMap(({ hurdle }) => hurdle ?? [])),
    /** The model in the CPLEX LP format. */
    text({ without, inParts = false }: Writing = {}): string {
      const kept = rows.filter(({ hurdle }) => hurdle === undefined || !without?.has(hurdle))
      const bounds = [
        ...[...wholes].map(name => ` 0 <= ${name} <= ${MOST_SETS}`),
        ...(inParts ? [...binaries].map(name => ` 0 <= ${name} <= 1`) : []),
      ]
      return [
        'Minimize',
        ` v: ${[...costs].map(written).join(' ')}`,
        'Subject To',
        ...kept.map(({ text }, at) => ` c${at}: ${text}`),
        'Bounds',
        ...bounds,
        ...(inParts
          ? []
          : ['Generals', ` ${[...wholes].join(' ')}`, 'Binaries', ` ${[...binaries].join(' ')}`]),
        'End',
      ].join('\n')
    },
  }
}

export type LinearModel = ReturnType<typeof linearModel>
