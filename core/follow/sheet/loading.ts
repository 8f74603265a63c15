import {
  type BarLoading,
  platesASide,
  roundLoad,
  takenApart,
  type TopLoading,
} from '../../plan/estimate'
import { saidNumber } from './numbers'
import type { LoadScale, SheetPart } from './sheet'

/** Plates counted where one comes more than once: `2 × 20 + 5`. */
function platesWords(plates: readonly number[]): string {
  const counts = new Map<number, number>()
  for (const plate of plates) counts.set(plate, (counts.get(plate) ?? 0) + 1)
  return [...counts]
    .map(([plate, count]) => (count > 1 ? `${count} × ${saidNumber(plate)}` : saidNumber(plate)))
    .join(' + ')
}

/**
 * How to load it: `20 bar, 10 + 1.25 each side`, `10 + 5 on the belt`, `14 with 0.5 on top`.
 *
 * Edge: empty where nothing is known, what is nearest where it cannot be loaded.
 */
export function loadingWords(amount: number | null, scale: LoadScale): string {
  const { bar, top } = scale
  if (amount === null || (!bar && !top)) return ''
  const words = bar ? barWords(amount, bar) : topWords(amount, top!)
  return (
    words ??
    `Cannot be loaded here; ${saidNumber(roundLoad(amount, scale.grid))} ${scale.unit} is nearest`
  )
}

function barWords(amount: number, bar: BarLoading): string | undefined {
  const plates = platesASide(amount, bar)
  const where = bar.isBelt ? 'on the belt' : 'each side'
  return (
    plates &&
    [
      bar.bar > 0 ? `${saidNumber(bar.bar)} bar` : '',
      plates.length > 0 ? `${platesWords(plates)} ${where}` : '',
    ]
      .filter(Boolean)
      .join(', ')
  )
}

function topWords(amount: number, top: TopLoading): string | undefined {
  const parts = takenApart(amount, top)
  if (!parts) return undefined
  const { weight, piece } = parts
  return piece === null ? '' : `${saidNumber(weight)} with ${saidNumber(piece)} on top`
}

/** Points by which a drop may miss what was meant before it is told. */
const TOLD_FROM = 3

/** What a drop comes out as where the weights there are miss it; empty where it is near enough. */
function dropWords(share: number, from: number, to: number): string {
  const [meant, real] = [100 * (1 - share), 100 * (1 - to / from)]
  return Math.abs(meant - real) < TOLD_FROM
    ? ''
    : `The drop to ${saidNumber(to)} is ${Math.round(real)} %; ${Math.round(meant)} % is meant`
}

/**
 * What the drops of a set come out as with the weights there are, told before it is begun.
 *
 * Shape: `amount` is what the part in hand is done with; parts behind it follow.
 * Edge:  empty where every drop is near enough to what is meant.
 */
export function dropsAhead(
  parts: readonly SheetPart[],
  at: number,
  amount: number | null,
  { grid }: Pick<LoadScale, 'grid'>,
): string {
  if (amount === null || amount <= 0) return ''
  const side = parts[at]?.side
  const first = amount
  let now = amount
  for (const { load, side: own, kind } of parts.slice(at + 1)) {
    if (own !== side || kind !== 'work' || load.kind !== 'share' || load.share >= 1) continue
    const from = load.of === 'first' ? first : now
    const to = roundLoad(from * load.share, grid, 'down')
    const words = dropWords(load.share, from, to)
    if (words) return words
    now = to
  }
  return ''
}
