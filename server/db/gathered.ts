import { isAway } from './away'

/**
 * Work of many askers done in rounds: whoever comes while a round of the same kind is under way is in the next one. One asker
 * alone waits for nobody; two hundred in the same instant are a few rounds.
 *
 * @param kindOf Who may share a round.
 * @param run What a round is: an answer for each, in the order asked.
 *
 * Edge: where a round of several fails, each is tried alone, so that one cannot spoil it for the others; where the database is away, all of
 *       them are told so at once.
 */
export function gathered<Kind, Asked, Answer>(
  kindOf: (asked: Asked) => Kind,
  run: (round: readonly Asked[], kind: Kind) => Promise<readonly Answer[]>,
): (asked: Asked) => Promise<Answer> {
  const waiting = new Map<Kind, Waiting<Asked, Answer>[]>()

  async function roundsOf(kind: Kind): Promise<void> {
    // Whoever's request is here already is read first.
    await new Promise(resolve => setImmediate(resolve))
    for (let round = waiting.get(kind); round?.length; round = waiting.get(kind)) {
      waiting.set(kind, [])
      await answeredAll(round, asked => run(asked, kind))
    }
    waiting.delete(kind)
  }

  return asked =>
    new Promise((resolve, reject) => {
      const kind = kindOf(asked)
      const next = waiting.get(kind)
      const one = { asked, resolve, reject }
      if (next) return void next.push(one)
      waiting.set(kind, [one])
      void roundsOf(kind)
    })
}

interface Waiting<Asked, Answer> {
  readonly asked: Asked
  readonly resolve: (answer: Answer) => void
  readonly reject: (reason: unknown) => void
}

async function answeredAll<Asked, Answer>(
  round: readonly Waiting<Asked, Answer>[],
  run: (round: readonly Asked[]) => Promise<readonly Answer[]>,
): Promise<void> {
  try {
    const answers = await run(round.map(({ asked }) => asked))
    for (const [at, answer] of answers.entries()) round[at]?.resolve(answer)
  } catch (reason) {
    if (round.length === 1 || isAway(reason)) for (const { reject } of round) reject(reason)
    else for (const one of round) await answeredAll([one], run)
  }
}
