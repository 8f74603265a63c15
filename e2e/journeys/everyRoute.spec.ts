import { BODIES, idsIn, OPEN, OWN, owned, pathWith, routes } from '../support/routes'
import { expect, signIn, test } from '../support/test'

test("every route asks who is there, and another coach's ids are as absent as ids nobody has", async ({
  page,
  playwright,
  studio,
}) => {
  const { studio: other, ids: theirs } = await owned(playwright)
  const stranger = await playwright.request.newContext({ baseURL: process.env.BASE_URL! })
  await signIn(page, studio)
  const all = routes()
  expect(all.length).toBeGreaterThan(6)
  for (const { file, method, path } of all) {
    if (OPEN.includes(file)) continue
    const ids = idsIn(path)
    expect(
      ids.every(name => theirs[name]),
      `${file} has an id this test knows nothing of`,
    ).toBe(true)
    expect(
      ids.length > 0 || OWN.includes(file),
      `${file} is new: say in this test whose it is`,
    ).toBe(true)
    const foreign = pathWith(path, theirs)
    const options = { method, ...(method !== 'GET' && { data: BODIES[file]?.(other) ?? {} }) }
    expect((await stranger.fetch(foreign, options)).status(), `${file} without a sign-in`).toBe(401)
    if (ids.length > 0)
      expect(
        (await page.request.fetch(foreign, options)).status(),
        `${file} with another coach's id`,
      ).toBe(404)
    // The coach's own client with something of another's below it is as absent.
    // A rotation's number and a muscle are nobody's: with a client of one's own they are hers.
    const mixed =
      ids.filter(name => name !== 'pass' && name !== 'group').length > 1
        ? pathWith(path, { ...theirs, clientId: studio.client('Marit').id })
        : undefined
    if (mixed)
      expect(
        (await page.request.fetch(mixed, options)).status(),
        `${file} below a client of one's own`,
      ).toBe(404)
  }
})
