export const SCREENING_ANSWERS = ['yes', 'no', 'unknown'] as const
export type ScreeningAnswer = (typeof SCREENING_ANSWERS)[number]

/** What is asked before anybody starts, in our own words. */
export const SCREENING_QUESTIONS = [
  {
    id: 's1',
    asks: 'Has a health professional ever told you that you have a heart, blood-vessel or blood-pressure condition?',
  },
  {
    id: 's2',
    asks: 'Do you get chest pain, pressure, an uneven heartbeat or unusual breathlessness, at rest or when you move?',
  },
  { id: 's3', asks: 'Have you fainted, or lost balance from dizziness, in the last 12 months?' },
  {
    id: 's4',
    asks: 'Do you have another long-standing illness (for example diabetes, kidney, lung, nerve, bone, bleeding)?',
  },
  {
    id: 's5',
    asks: 'Do you take prescribed medicine that affects heart rate, blood pressure, blood clotting, bones or blood sugar?',
  },
  {
    id: 's6',
    asks: 'Did you have surgery, a fracture, or a torn muscle or tendon in the last 12 months?',
  },
  { id: 's7', asks: 'Does a joint or your back hurt now, or get worse with exercise?' },
  { id: 's8', asks: 'Are you pregnant, or did you give birth in the last 6 months?' },
  {
    id: 's9',
    asks: 'Do you have, or have you had, a hernia, eye surgery, raised eye pressure or severe headaches on straining?',
  },
  { id: 's10', asks: 'Are you under 18?' },
  { id: 's11', asks: 'Has anybody ever advised you to avoid hard exercise?' },
] as const
export type ScreeningId = (typeof SCREENING_QUESTIONS)[number]['id']
export const SCREENING_IDS = SCREENING_QUESTIONS.map(({ id }) => id)

export type ScreeningAnswers = Readonly<Partial<Record<ScreeningId, ScreeningAnswer>>>

/** What a licensed professional has allowed, as the coach records it. */
export interface Clearance {
  readonly on: string
  readonly profession: string
  readonly limits: string
}

export interface Screening {
  readonly answers: ScreeningAnswers
  readonly clearance: Clearance | null
}

/** Shown when an answer asks for it; never a diagnosis. */
export const REFERRAL =
  'Please ask a physician or other licensed professional before starting, and tell your coach what limits they set.'
/** Shown at intake, on print and on the phone sheet. */
export const NOT_MEDICAL_ADVICE =
  'This plan is training advice from your coach. It does not replace an examination. Stop and get help if something feels wrong.'

/** Pain has its own scale, and youth its own rules; the others ask for a professional. */
const NOT_REFERRING: readonly ScreeningId[] = ['s7', 's10']

/** Whether a client may be planned for handing over: everything answered, and cleared where an answer asks for it. */
export function screeningState({ answers, clearance }: Screening): 'open' | 'clear' | 'refer' {
  if (SCREENING_IDS.some(id => answers[id] === undefined)) return 'open'
  const refers = SCREENING_IDS.some(id => !NOT_REFERRING.includes(id) && answers[id] !== 'no')
  return refers && clearance === null ? 'refer' : 'clear'
}

/** Whether the client counts as under 18; not knowing is taken as yes. */
export function isMinorBy({ answers }: Screening): boolean {
  return answers.s10 === 'yes' || answers.s10 === 'unknown'
}
