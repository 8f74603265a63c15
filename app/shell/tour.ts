import type { RosterView } from '#shared/contracts/roster'

type Client = RosterView['clients'][number]

/** One stop of the tour: where, and what to look at there. */
interface Stop {
  readonly title: string
  readonly text: string
  readonly to: (clients: readonly Client[]) => string
}

/** The first client of whom something holds, else the first one with a block. */
function pathOf(clients: readonly Client[], way: string, holds: (client: Client) => boolean) {
  const client = clients.find(holds) ?? clients.find(({ block }) => block !== null)
  return client ? `/clients/${client.id}${way}` : '/roster'
}
const needs = (kind: Client['needs'][number]['kind']) => (client: Client) =>
  client.needs.some(need => need.kind === kind)
const isSteady = ({ needs: own, block }: Client) => own.length === 0 && block !== null

/** Five minutes through the demo studio. */
export const TOUR: readonly [Stop, ...Stop[]] = [
  {
    title: 'The roster',
    text: 'Made-up clients with a past. Whoever needs you stands on top, with why; → opens the reasons, and a digit leads to where each is settled.',
    to: () => '/roster',
  },
  {
    title: 'A split',
    text: 'A column a day, a row a muscle, a peg a set; outlined pegs are indirect. Choose a cell, press +, and watch hours, readiness and findings follow. Z undoes it.',
    to: clients => pathOf(clients, '/split', isSteady),
  },
  {
    title: 'A session to scale',
    text: 'Every exercise as long as it takes, pairs one over the other. Type sets as you are used to: 3x12 20kg rpe8. L asks for only so many minutes.',
    to: clients => pathOf(clients, '/session/2', isSteady),
  },
  {
    title: 'Proposals',
    text: 'Ways to place the sets, each with what it gives up and how close to the best it is proven to be. Space tries one on the board.',
    to: clients => pathOf(clients, '/proposals', needs('out_of_band')),
  },
  {
    title: 'The block',
    text: 'Weeks side by side: ramps, effort, easier rotations, loads. Shift Enter sends a rotation; without a link you get one with its code.',
    to: clients => pathOf(clients, '/block', isSteady),
  },
  {
    title: 'The review',
    text: 'What was done beside what was planned. A missed session first: four ways with what each keeps; then the changes the log suggests, each with its reason.',
    to: clients => pathOf(clients, '/review', needs('missed_session')),
  },
  {
    title: 'Trends',
    text: 'A rise or a fall is said only where the log supports it, with its interval; before that, how many sessions it takes.',
    to: clients => pathOf(clients, '/trends', needs('falling')),
  },
  {
    title: 'Your turn',
    text: 'Change anything: this studio is yours for a day, then it goes. ? helps on every screen, / finds anything. Make an account when you want to keep something.',
    to: () => '/roster',
  },
]
