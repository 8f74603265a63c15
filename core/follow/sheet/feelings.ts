/** Where an exercise was felt, said with one tap after its last set; a joint is told as pain instead. */
export const FELT_PLACES = ['target', 'forearms', 'shoulders', 'torso', 'elsewhere'] as const
export type FeltPlace = (typeof FELT_PLACES)[number]

/** What may be said of a whole session, each on three steps from 0. Shown over time; nothing is reckoned from it. */
export const FEELINGS = ['pump', 'soreness', 'energy'] as const
export type Feeling = (typeof FEELINGS)[number]
export const MOST_FEELING = 2
export type Feelings = Readonly<Partial<Record<Feeling, number>>>

/** The end of a session beyond what is asked of everybody; whatever was not said is left out. */
export interface MoreSaid {
  readonly feelings?: Feelings
  /** One word for it. */
  readonly word?: string
  /** Units: minutes before the first set, and to the gym and back. */
  readonly warmUpMinutes?: number
  readonly wayMinutes?: number
}
