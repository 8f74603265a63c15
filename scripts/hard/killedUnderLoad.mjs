import { rest, underLoad, untilWell } from './load.mjs'

const TO_BE_WELL_MS = 5000

/** What is done to the database while it is asked, and for how long it is away. */
const HARM = {
  killed: async (postgres, round) => {
    postgres.kill()
    await rest(1000 + 500 * (round % 4))
    await postgres.again()
  },
  frozen: async (postgres, round) => {
    postgres.freeze()
    await rest(2000 + 1000 * (round % 4))
    postgres.thaw()
  },
}

/** The harm is done to the database so many times; counts of what came of it. */
export async function harmedDatabase(site, rounds, harm) {
  const found = await underLoad(site, { readers: 12, writers: 1 }, async asking => {
    const back = []
    for (let round = 0; round < rounds; round++) {
      await rest(1500)
      await HARM[harm](site.postgres, round)
      back.push(await untilWell(asking))
      process.stdout.write(
        `· ${harm} ${round + 1} of ${rounds}, well again after ${Math.round(back.at(-1))} ms\n`,
      )
    }
    return {
      'well again ms': Math.round(Math.max(...back)),
      'back late': back.filter(ms => ms > TO_BE_WELL_MS).length,
    }
  })
  return { rounds, ...found }
}
