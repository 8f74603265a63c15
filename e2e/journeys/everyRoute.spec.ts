import { readdirSync } from 'node:fs'
import { join, relative } from 'node:path'
import { newStudio, type TestStudio } from '../support/studio'
import { expect, signIn, test } from '../support/test'

const API = join(import.meta.dirname, '../../server/api')

/** Path and method of every route file, `clients/[clientId]/index.get.ts` among them. */
function routes(folder = API): readonly { readonly file: string, readonly method: string, readonly path: string }[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const full = join(folder, entry.name)
    if (entry.isDirectory()) return routes(full)
    const file = relative(API, full)
    const [, stem = '', method = ''] = /^(.*)\.(get|post|put|patch|delete)\.ts$/.exec(file) ?? []
    return method === '' ? [] : [{ file, method: method.toUpperCase(), path: `/api/${stem.replace(/(^|\/)index$/, '')}`.replace(/\/$/, '') }]
  })
}

/** Routes anybody may ask. */
const OPEN = ['health.get.ts', 'sign-in.post.ts', 'sign-out.post.ts', 'sign-up.post.ts']

/** What to put for each id, and a body that the door lets in, so that ownership is what decides. */
const IDS: Readonly<Record<string, (of: TestStudio) => string>> = {
  clientId: of => of.client('Marit').id, blockId: of => of.client('Marit').blockId,
}
const BODIES: Readonly<Record<string, (of: TestStudio) => unknown>> = {
  'blocks/[blockId]/plan.put.ts': of => ({ version: 1, plan: of.client('Marit').plan }),
  'clients/[clientId]/profile.put.ts': of => of.client('Marit').profile,
}
/** Routes about the signed-in coach alone: there is no id of anybody else's to try. */
const OWN = ['roster.get.ts', 'clients/index.post.ts', 'account/index.get.ts', 'account/password.put.ts', 'account/sign-out-everywhere.post.ts']

test('every route asks who is there, and another coach\'s ids are as absent as ids nobody has', async ({ page, playwright, studio }) => {
  const other = await newStudio()
  const stranger = await playwright.request.newContext({ baseURL: process.env.BASE_URL! })
  await signIn(page, studio)
  const all = routes()
  expect(all.length).toBeGreaterThan(6)
  for (const { file, method, path } of all) {
    if (OPEN.includes(file)) continue
    const ids = [...path.matchAll(/\[(\w+)\]/g)].map(([, name = '']) => name)
    expect(ids.every(name => IDS[name]), `${file} has an id this test knows nothing of`).toBe(true)
    expect(ids.length > 0 || OWN.includes(file), `${file} is new: say in this test whose it is`).toBe(true)
    const foreign = ids.reduce((known, name) => known.replace(`[${name}]`, IDS[name]!(other)), path)
    const options = { method, ...(method !== 'GET' && { data: BODIES[file]?.(other) ?? {} }) }
    expect((await stranger.fetch(foreign, options)).status(), `${file} without a sign-in`).toBe(401)
    if (ids.length > 0) expect((await page.request.fetch(foreign, options)).status(), `${file} with another coach's id`).toBe(404)
  }
})
