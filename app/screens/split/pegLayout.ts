/** What a cluster is drawn from: sets of one exercise that count alike. */
export interface PegPiece {
  readonly pegs: number
  readonly credit: number
}

/** One mark of a cluster; x is its middle, from the cluster's left end. */
export interface Peg {
  readonly kind: 'peg' | 'chip'
  readonly piece: number
  readonly x: number
  /** Pixels above the pad. */
  readonly height: number
  /** For a chip of a stack: pixels between the pad and its lower edge. */
  readonly base: number
  readonly isDirect: boolean
}

export interface PegGroupLayout {
  readonly pegs: readonly Peg[]
  readonly width: number
}

interface Pitch {
  readonly direct: number
  readonly indirect: number
  readonly gap: number
}

/** From roomy to tight; tighter than that, the exercises become notched stacks. */
const PITCHES: readonly Pitch[] = [
  { direct: 8, indirect: 6, gap: 4 },
  { direct: 8, indirect: 6, gap: 3 },
  { direct: 7.5, indirect: 5.5, gap: 2 },
  { direct: 6.5, indirect: 5, gap: 2 },
]
const SMALL_PITCHES: readonly Pitch[] = [
  { direct: 4, indirect: 4, gap: 4 },
  { direct: 4, indirect: 4, gap: 2 },
  { direct: 3.5, indirect: 3.5, gap: 1.5 },
]
const STACK_WIDTH = 11
const STACK_HEIGHT = 26
const DIRECT_HEIGHT = { large: 20, small: 13 } as const
/** Indirect pegs come in three heights: a quarter, a half, three quarters. */
const INDIRECT_HEIGHT = {
  large: { low: 8, mid: 12, high: 16 },
  small: { low: 6, mid: 8, high: 10 },
} as const

type Size = 'large' | 'small'

function heightOf(credit: number, size: Size): number {
  if (credit === 1) return DIRECT_HEIGHT[size]
  const heights = INDIRECT_HEIGHT[size]
  if (credit < 0.375) return heights.low
  return credit < 0.625 ? heights.mid : heights.high
}

function row(pieces: readonly PegPiece[], pitch: Pitch, size: Size): PegGroupLayout {
  const pegs: Peg[] = []
  let x = 0
  pieces.forEach((piece, at) => {
    if (piece.pegs === 0) return
    if (pegs.length > 0) x += pitch.gap
    const isDirect = piece.credit === 1
    const step = isDirect ? pitch.direct : pitch.indirect
    for (let set = 0; set < piece.pegs; set++) {
      pegs.push({
        kind: 'peg',
        piece: at,
        x: x + step / 2,
        height: heightOf(piece.credit, size),
        base: 0,
        isDirect,
      })
      x += step
    }
  })
  return { pegs, width: x }
}

function stacks(pieces: readonly PegPiece[], room: number): PegGroupLayout {
  const shown = pieces.flatMap((piece, at) => (piece.pegs > 0 ? [{ ...piece, at }] : []))
  const step = Math.min(STACK_WIDTH, room / shown.length)
  const pegs = shown.flatMap((piece, column) => {
    const height = Math.min(4, STACK_HEIGHT / piece.pegs)
    return Array.from({ length: piece.pegs }, (_, set): Peg => ({
      kind: 'chip',
      piece: piece.at,
      x: (column + 0.5) * step,
      height: Math.max(1, height - 1),
      base: set * height,
      isDirect: piece.credit === 1,
    }))
  })
  return { pegs, width: step * shown.length }
}

/** Places the pegs of one cluster in at most `room` pixels: the roomiest pitch that fits, else notched stacks. */
export function pegGroupLayout(
  pieces: readonly PegPiece[],
  room: number,
  size: Size,
): PegGroupLayout {
  const pitches = size === 'large' ? PITCHES : SMALL_PITCHES
  for (const pitch of pitches) {
    const layout = row(pieces, pitch, size)
    if (layout.width <= room) return layout
  }
  return stacks(pieces, room)
}
