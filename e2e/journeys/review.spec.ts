import { addDays } from '#core/base'
import { sql } from 'drizzle-orm'
import { connectedDatabase } from '../../server/db/database'
import { serverToday } from '../../server/clock'
import { alive, expect, signedIn, signIn, test } from '../support/test'

test.use({ logs: 'logged' })

test(
  'a rotation reviewed by keyboard alone: what was done, one proposal taken, one refused, both kept',
  { tag: '@day' },
  async ({ page, studio }) => {
    test.slow()
    await signedIn(page, studio)
    // The client whose log falls.
    const { id, blockId } = studio.client('Joren')
    await page.goto(`/clients/${id}/review`)
    await alive(page)
    await expect(
      page.getByRole('heading', { level: 1, name: /^Rotation \d+ of \d+$/ }),
    ).toBeVisible()
    await expect(page.getByText(/\d+ of \d+ sets done, \d+\s%/)).toBeVisible()
    const proposals = page.getByRole('list', { name: 'Proposals' }).getByRole('listitem')
    const before = await proposals.count()
    expect(before).toBeGreaterThan(0)
    const first = (await proposals.first().getByRole('button').first().textContent())!.trim()
    await expect(page.getByRole('row', { name: /^Overhead rope extension/ })).toContainText(
      /Falling, since/,
    )
    const missed = page.getByRole('button', { name: /^Let .* go$/ })
    for (let left = await missed.count(); left > 0; left--) {
      await missed.first().click()
      await expect(missed).toHaveCount(left - 1)
    }
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status').filter({ hasText: /^\s*Taken\./ })).toBeVisible()
    await expect(
      page.getByText(/^taken by Test Coach, .*after rotation \d+, plan version 2/),
    ).toBeVisible()
    // The plan has it as a change that holds, as an exception of the next rotation, or as an easier one.
    const { block } = (await (await page.request.get(`/api/clients/${id}`)).json()) as {
      block: {
        id: string
        version: number
        plan: { block?: { exceptions?: object[]; deloads?: number[]; changes?: object[] } }
      }
    }
    expect(block.id).toBe(blockId)
    expect(
      [
        ...(block.plan.block?.exceptions ?? []),
        ...(block.plan.block?.deloads ?? []),
        ...(block.plan.block?.changes ?? []),
      ].length,
      first,
    ).toBeGreaterThan(0)
    for (let left = await proposals.count(); left > 0; left--) {
      await page.keyboard.press('Delete')
      await page.keyboard.type('Not this week')
      await page.keyboard.press('Enter')
      await expect(
        page.getByText(/^refused by Test Coach, .*: “Not this week”/).first(),
      ).toBeVisible()
      await expect(proposals).toHaveCount(left - 1)
    }
    await page.reload()
    await expect(page.getByText('Nothing asks for a change.')).toBeVisible()
    await page.keyboard.press(',')
    await expect(page).toHaveURL(/rotation=\d+/)
  },
)

test('a set fewer from now on: the block carries it with its reason, the review comes back to it, and it is ended', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id } = studio.client('Joren')
  await page.goto(`/clients/${id}/review?rotation=3`)
  await alive(page)
  const proposals = page.getByRole('list', { name: 'Proposals' }).getByRole('listitem')
  const fewer = proposals.filter({ hasText: /Biceps: 1 set fewer/ })
  await expect(fewer).toContainText('Expected: recovered in two of the last three answers')
  await fewer.getByRole('button').first().click()
  await expect(fewer.getByRole('button', { name: /^Next rotation only/ })).toBeVisible()
  await fewer.getByRole('button', { name: /^From now on/ }).click()
  await expect(
    page.getByRole('status').filter({ hasText: /from the next rotation on/ }),
  ).toBeVisible()
  await page.goto(`/clients/${id}/review?rotation=5`)
  await alive(page)
  const came = page.getByRole('region', { name: 'What came of it' })
  // On the day on which a rotation begins nothing has come of it yet.
  const hasBegun = !(await page.getByText('Nothing was due yet.').isVisible())
  if (hasBegun)
    await expect(came).toContainText(
      /Biceps: 1 set fewer.*(As|Not as) expected: recovered in \d of the last 3 answers/,
    )
  else await expect(came).toBeHidden()
  await page.goto(`/clients/${id}/block`)
  await alive(page)
  const held = page.getByRole('region', { name: 'Changes that hold' })
  await expect(held).toContainText(
    /Biceps −1 set from rotation 4 on.*Not recovered in \d of the last 3 answers/,
  )
  await page.keyboard.press('ArrowRight')
  await held.getByRole('button', { name: /^(End it from rotation|Take it out)/ }).click()
  await expect(held).toContainText(/Biceps −1 set from rotation 4 (only|to \d)/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(held).toContainText('Biceps −1 set from rotation 4 on')
})

test('a decision from an older plan is told, and nothing is changed', async ({ page, studio }) => {
  await signIn(page, studio)
  const { id } = studio.client('Joren')
  const seen = (await (await page.request.get(`/api/clients/${id}/review/latest`)).json()) as {
    open: string[]
    review: { pass: number }
  }
  const stale = await page.request.post(`/api/clients/${id}/review/${seen.review.pass}/decide`, {
    data: { key: 'A7 biceps sets 99', decision: 'taken', reason: '', version: 1 },
  })
  expect(stale.status()).toBe(422)
  const bad = await page.request.get(`/api/clients/${id}/review/99`)
  expect(bad.status()).toBe(404)
})

test('a muscle whose sets say nothing about strength was trained all the same: nobody is told to come back slowly', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  const { id } = studio.client('Marit')
  // As if every set of the last weeks had been too long for an estimate.
  const { db, close } = connectedDatabase(process.env.DATABASE_URL ?? '')
  await db.execute(sql`delete from exposures where client_id = ${id} and "on" > current_date - 24`)
  await close()
  const { review } = (await (
    await page.request.get(`/api/clients/${id}/review/latest`)
  ).json()) as { review: { adjustments: { row: string; group: string }[] } }
  expect(review.adjustments.length).toBeGreaterThan(0)
  expect(review.adjustments.filter(({ row }) => row === 'G1')).toEqual([])
})

test.describe('four logs', () => {
  test.use({ stories: { Ines: { gain: 0, shortWithinDays: 0 }, Teo: { weeks: 1 } } })

  test('a rising, a flat, a falling and a too short one are read rightly on review and roster', async ({
    page,
    studio,
  }) => {
    await signedIn(page, studio)
    const triceps = page
      .getByRole('region', { name: /^Muscles, counted sets/ })
      .getByRole('row', { name: /^Triceps: / })
    for (const [who, words] of [
      ['Sunniva', /Rising, since .*: [\d.]+\s% a week/],
      ['Ines', /Flat over \d+ weeks, since/],
      ['Joren', /Falling, since .*: [\d.]+\s% a week/],
      ['Teo', /Too early: \d of about 16 sessions that a rise of 1\s% a week takes to show/],
    ] as const) {
      await page.goto(`/clients/${studio.client(who).id}/review`)
      await alive(page)
      await expect(triceps, who).toContainText(words)
    }
    await page.goto('/roster')
    await expect(page.getByText('Triceps falling')).toHaveCount(1)
    // The flat one leads to what could move it: one thing at a time.
    await page.goto(`/clients/${studio.client('Ines').id}/review`)
    await alive(page)
    await triceps.getByRole('link', { name: 'What could move it' }).click()
    await expect(
      page.getByRole('heading', { level: 1, name: 'Triceps: what could move it' }),
    ).toBeVisible()
    await expect(page.getByRole('row')).toHaveCount(10)
    await expect(page.getByText('next', { exact: true })).toHaveCount(1)
  })
})

test('an arm day on trial: begun by keyboard, quiet about strength, told when it is over, put away and back', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id } = studio.client('Joren')
  await page.goto(`/clients/${id}/block`)
  await alive(page)
  await page.keyboard.press('t')
  const dialog = page.getByRole('dialog', { name: 'Try something out' })
  await expect(dialog.getByLabel('What')).toBeFocused()
  await page.keyboard.type('Arm day')
  await dialog.getByLabel('Weeks').fill('2')
  await page.keyboard.press('Enter')
  await expect(dialog.getByRole('alert')).toContainText(/between 3 and 12/)
  await dialog.getByLabel('Weeks').fill('3')
  await dialog.getByLabel('From').fill(addDays(serverToday(), -24))
  await dialog.getByRole('checkbox', { name: 'Triceps' }).check()
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  const onTrial = page.getByRole('region', { name: 'On trial' })
  await expect(onTrial).toContainText(/^On trial\s*Arm day: .*triceps.*3 weeks to/)
  await expect(page.getByText(/^Saved/)).toBeVisible()
  await onTrial.getByRole('link', { name: 'What came of it' }).click()
  await expect(page.getByRole('region', { name: 'On trial' })).toContainText(
    /Triceps: .* direct sets a week.*; before it .*\./,
  )
  await page.goto(`/clients/${id}/block`)
  await alive(page)
  await onTrial.getByRole('button', { name: /^Put away: Arm day/ }).click()
  await expect(onTrial).toBeHidden()
  await page.keyboard.press('z')
  await expect(onTrial).toBeVisible()
})
