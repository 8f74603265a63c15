import { spawn } from 'node:child_process'
import { SetupError } from './say.mjs'

/**
 * Runs a command to its end. `quiet` keeps its output for the error message, `inherit` shows it; `input` is what it reads.
 * Resolves with what it printed; rejects with a SetupError that quotes the end of it.
 */
export function run(command, args, { output = 'quiet', input, ...options } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      stdio:
        output === 'inherit'
          ? 'inherit'
          : [input === undefined ? 'ignore' : 'pipe', 'pipe', 'pipe'],
      ...options,
    })
    child.stdin?.on('error', () => {})
    child.stdin?.end(input)
    let printed = ''
    child.stdout?.on('data', chunk => (printed += chunk))
    child.stderr?.on('data', chunk => (printed += chunk))
    child.on('error', error =>
      reject(new SetupError(`${command} could not be started: ${error.message}`)),
    )
    child.on('close', code => {
      if (code === 0) return resolve(printed)
      reject(
        new SetupError(
          `${command} ${args.join(' ')} failed (exit ${code}).\n${printed.split('\n').slice(-25).join('\n')}`,
        ),
      )
    })
  })
}
