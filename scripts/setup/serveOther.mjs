// Serves the project that lies in the folder given, by that project's own scripts; says its address to whoever started it.
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'

const [, , folder] = process.argv
const its = name => import(pathToFileURL(join(folder, 'scripts', 'setup', name)).href)
const [{ end, endOnSignals }, { ensureBuild }, { throwawayServer }] = await Promise.all(
  ['cleanup.mjs', 'project.mjs', 'throwaway.mjs'].map(its),
)
endOnSignals()
process.on('disconnect', () => void end(0))
try {
  await ensureBuild()
  const { url, demoPassword } = await throwawayServer('bench_against')
  process.send({ url, demoPassword })
} catch (error) {
  console.error(error.message)
  await end(1)
}
