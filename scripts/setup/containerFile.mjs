/** One instruction of a container file. */
const INSTRUCTION = /^([A-Z]+)\s+(.*)$/s

/**
 * The stages of a container file, each with its instructions in order; lines that go on are one. Errors: one that is not known here.
 *
 * @param {string} text
 * @returns {{ image: string, name: string, steps: { word: string, rest: string }[] }[]}
 */
export function stagesOf(text) {
  const lines = text
    .replace(/\\\n\s*/g, '')
    .split('\n')
    .map(line => line.trim())
    .filter(line => line && !line.startsWith('#'))
  /** @type {{ image: string, name: string, steps: { word: string, rest: string }[] }[]} */
  const stages = []
  for (const line of lines) {
    const [, word, rest] = INSTRUCTION.exec(line) ?? []
    if (word === 'FROM') {
      const [, image, name] = /^(\S+)(?:\s+AS\s+(\S+))?$/.exec(rest) ?? []
      stages.push({ image, name: name ?? String(stages.length), steps: [] })
    } else if (!STEPS.has(word) || stages.length === 0)
      throw new Error(`The container file says ${JSON.stringify(line)}, which is not known here.`)
    else stages.at(-1).steps.push({ word, rest })
  }
  return stages
}

const STEPS = new Set(['RUN', 'COPY', 'WORKDIR', 'ENV', 'USER', 'EXPOSE', 'HEALTHCHECK', 'CMD'])

/** `A=1 B=two` as an object. */
export const settingsOf = rest =>
  Object.fromEntries([...rest.matchAll(/(\w+)=(\S*)/g)].map(([, name, value]) => [name, value]))

/** What is copied where, and from which stage: `--from=build --chown=root:root /a /b`. */
export function copyOf(rest) {
  const words = rest.split(/\s+/)
  const flags = Object.fromEntries(
    words.filter(word => word.startsWith('--')).map(word => word.slice(2).split('=')),
  )
  const paths = words.filter(word => !word.startsWith('--'))
  return { from: flags.from, what: paths.slice(0, -1), to: paths.at(-1) }
}
