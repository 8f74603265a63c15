import { expect, test } from '@jest/globals'
import { unitStudio, useTestDatabase } from '../../server/testing/database'
import { portrait } from './portrait'
import { read } from './studioServer'

/* What the services say of the demo studio. A figure that changes on purpose: look at the difference, then
   `npm run unit -- scripts/portraits -u`. */

useTestDatabase()

const LOGGED = ['Joren', 'Teo', 'Ines', 'Marit']
const OF_STUDIO = [
  'roster',
  'exercises',
  'exercises/clients',
  'methods',
  'session-templates',
  'outbox',
  'clients/archived',
]
const OF_CLIENT = [
  '',
  'profile',
  'history',
  'strengths',
  'loads',
  'trends',
  'report',
  'log',
  'log/csv',
  'link',
  'messages',
  'export',
  'sheet',
  'review/latest',
  'review/0',
]

/** An answer, list by list and field by field. */
function lines(path: string, answer: unknown): string[] {
  const { value, error } = answer as { value?: object; error?: object }
  const fields = Object.entries((value ?? { error }) as Record<string, unknown>)
  return fields.flatMap(([name, field]) =>
    Array.isArray(field)
      ? [
          `${path} ${name}: ${field.length}`,
          ...field
            .slice(0, 8)
            .map((one, at) => `${path} ${name} ${at}: ${portrait(one, '2026-05-01')}`),
        ]
      : [`${path} ${name}: ${portrait(field, '2026-05-01')}`],
  )
}

test('every answer about the demo studio is what it was', async () => {
  const { coach, clients, today } = await unitStudio({ logsOf: LOGGED })
  const said: string[] = []
  const ask = async (path: string, name = path) =>
    said.push(...lines(name, await read(coach, today, `/api/${path}`)))
  for (const path of OF_STUDIO) await ask(path)
  for (const { id, name, blockId } of clients.filter(one =>
    LOGGED.some(logged => one.name.startsWith(logged)),
  )) {
    const who = name.split(' ')[0]
    for (const path of OF_CLIENT) await ask(`clients/${id}${path && `/${path}`}`, `${who} ${path}`)
    for (const path of ['sent', 'revisions'])
      await ask(`blocks/${blockId}/${path}`, `${who} ${path}`)
  }
  expect(said.join('\n')).toMatchSnapshot()
})
