/** Heights of the board's rows and where the line runs in them; pegs stand above it, recovery hangs below. Pixels. */
export const ROW_HEIGHT = { arm: 70, head: 22, small: 28 } as const
export const RAIL_Y = { arm: 43, head: 20, small: 24 } as const
