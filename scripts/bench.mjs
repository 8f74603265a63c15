// `npm run bench`: how long the hot paths take on this machine. A word given as argument chooses the rows that contain it;
// `logging` presses the built server instead, with 200 phones at once; `review` asks it for a long log and rehearses in its worker;
// `machines` does so with one server, two and four behind a proxy; `storm` has 200 coaches sign in at once; `live` has 60 phones log while 200 floors are open;
// `queue` goes through forty clients in the browser by `N`;
// `growth` tells how time grows with size; `--against REV` measures this state and another in turn, with the ratio of each pair;
// `honesty` tells how often trends and paces are right about simulated clients.
import { end, endOnSignals } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { ensureBuild, ensureDependencies, runScript } from './setup/project.mjs'
import { checkedOut, servedFrom } from './setup/otherState.mjs'
import { ROOT } from './setup/paths.mjs'
import { say } from './setup/say.mjs'
import { throwawayDatabase, throwawayServer } from './setup/throwaway.mjs'

const words = process.argv.slice(2)

/** This state and another, both built and served on demo data, measured in turn. */
async function against(revision) {
  if (!revision) throw new Error('`--against` needs a revision, such as HEAD~5 or a tag')
  await ensureDebianPackages(['chromium-headless-shell'])
  const now = await servedFrom(ROOT)
  const then = await servedFrom(await checkedOut(revision))
  await runScript('benchAgainst', [], {
    env: {
      NOW_URL: now.url,
      NOW_PASSWORD: now.demoPassword,
      THEN_URL: then.url,
      THEN_PASSWORD: then.demoPassword,
    },
    output: 'inherit',
  })
}
async function* alone(word) {
  yield await throwawayServer(`bench_${word}`)
}
/** The same phones on one server, on two and on four behind a proxy, each time on a database of its own. */
async function* several(word) {
  for (const servers of [1, 2, 4]) {
    const site = await throwawayServer(`bench_${word}_${servers}`, undefined, servers)
    yield site
    await site.stopAll()
  }
}
/** Benches that press the built server, by their word: what runs, and against what. */
const BUILT = {
  review: { script: 'benchReview', against: alone },
  logging: { script: 'benchLogging', against: alone },
  storm: { script: 'benchStorm', against: alone },
  queue: { script: 'benchQueue', against: alone },
  live: { script: 'benchLive', against: alone },
  machines: { script: 'benchLogging', against: several },
}

endOnSignals()
try {
  await ensureDebianPackages(['postgresql'])
  await ensureDependencies()
  if (words[0] === '--against') {
    await against(words[1])
    await end(0)
  }
  if (!(words[0] in BUILT))
    await runScript('bench', words, {
      env: { DATABASE_URL: await throwawayDatabase('bench') },
      output: 'inherit',
    })
  for (const [word, { script, against }] of Object.entries(BUILT)) {
    if (words.length > 0 && words[0] !== word) continue
    if (word === 'review' || word === 'queue')
      await ensureDebianPackages(['chromium-headless-shell'])
    await ensureBuild()
    for await (const { url, databaseUrl, servers } of against(word)) {
      if (servers > 1) say(`${servers} servers behind a proxy`)
      await runScript(script, [], {
        env: { BASE_URL: url, DATABASE_URL: databaseUrl },
        output: 'inherit',
      })
    }
  }
  await end(0)
} catch (error) {
  console.error(`\n${error.message}`)
  await end(1)
}
