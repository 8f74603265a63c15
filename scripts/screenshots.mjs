// `npm run screenshots`: the pictures of docs/screenshots, taken from the demo data. Names may be given to take only those.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { end, endOnSignals } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { ROOT } from './setup/paths.mjs'
import { ensureBuild, ensureDependencies, runScript } from './setup/project.mjs'
import { throwawayServer } from './setup/throwaway.mjs'

endOnSignals()
try {
  await ensureDebianPackages(['postgresql', 'chromium-headless-shell'])
  await ensureDependencies()
  await ensureBuild()
  const folder = process.env.SCREENSHOTS ?? join(ROOT, 'docs', 'screenshots')
  mkdirSync(folder, { recursive: true })
  const { url, demoPassword } = await throwawayServer('pictures')
  await runScript('takePictures', process.argv.slice(2), {
    env: { BASE_URL: url, DEMO_PASSWORD: demoPassword, SCREENSHOTS: folder },
    output: 'inherit',
  })
  await end(0)
} catch (error) {
  console.error(`\n${error.message}`)
  await end(1)
}
