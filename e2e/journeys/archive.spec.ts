import { expect, signedIn, signIn, test } from '../support/test'

test.use({ logs: 'logged' })

test('a client is put away, restored, and erased for good only after the name is typed', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/404/)
  await signedIn(page, studio)
  const { id, name } = studio.client('Sunniva')
  await page.goto(`/clients/${id}`)
  await expect(page.getByRole('button', { name: 'Save the profile' })).toBeEnabled()
  await page.getByRole('button', { name: 'Archive…' }).click()
  await page.getByRole('button', { name: 'Archive', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Archive' })).toBeVisible()
  await page.goto('/roster')
  await expect(page.getByRole('link', { name: /^Sunniva/ })).toHaveCount(0)
  await page.getByRole('link', { name: 'Archive · 1' }).click()
  await page.getByRole('button', { name: `Restore ${name}` }).click()
  await expect(page.getByText('Nobody is archived.')).toBeVisible()
  await page.goto('/roster')
  await expect(page.getByRole('link', { name: /^Sunniva/ })).toBeVisible()

  expect((await page.request.delete(`/api/clients/${id}`, { data: { name } })).status()).toBe(422)
  await page.request.post(`/api/clients/${id}/archive`)
  expect(
    (await page.request.delete(`/api/clients/${id}`, { data: { name: 'Sunniva' } })).status(),
  ).toBe(422)
  await page.goto('/archive')
  await page.getByRole('button', { name: `Erase ${name} for good` }).click()
  await page.getByLabel(/Type the full name/).fill('Sunniva')
  await expect(page.getByRole('button', { name: 'Erase for good', exact: true })).toBeDisabled()
  await page.getByLabel(/Type the full name/).fill(name)
  await page.getByRole('button', { name: 'Erase for good', exact: true }).click()
  await expect(page.getByText('Nobody is archived.')).toBeVisible()
  expect((await page.request.get(`/api/clients/${id}`)).status()).toBe(404)
})

test('the export holds plan, log and measurements, and no screening answers', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  const { id, plan } = studio.client('Marit')
  const told = (await (await page.request.get(`/api/clients/${id}/export`)).json()) as Record<
    string,
    never
  > & { blocks: { plan: object }[]; sessions: { sets: object[] }[]; measurements: object[] }
  expect(told.format).toBe('tholepin-client')
  expect(told.blocks.map(block => block.plan)).toContainEqual(JSON.parse(JSON.stringify(plan)))
  expect(told.sessions.length).toBeGreaterThan(40)
  expect(told.sessions.some(({ sets }) => sets.length > 10)).toBe(true)
  expect(told.measurements.length).toBeGreaterThan(5)
  expect(JSON.stringify(told)).not.toContain('screening')
  expect(JSON.stringify(told)).not.toContain('coachId')
})
