import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import ICAL from 'ical.js'
import { boardIsLive, cell, expect, saved, signIn, test, handedOver } from '../support/test'

/** Opens the Block page and waits until it hears keys. */
async function openBlock(page: Page, id: string, view = ''): Promise<void> {
  await page.goto(`/clients/${id}/block${view && `?view=${view}`}`)
  await expect(
    page.locator('[aria-busy=false]').filter({ has: page.getByRole('group', { name: 'View' }) }),
  ).toBeVisible()
}
const figure = (page: Page, muscle: string, rotation: number) =>
  page.getByRole('gridcell', { name: new RegExp(`^${muscle}, rotation ${rotation}: `) })
const setsOf = async (page: Page, muscle: string, rotation: number) =>
  Number(
    /: ([\d.]+) sets/.exec(
      (await figure(page, muscle, rotation).getAttribute('aria-label')) ?? '',
    )?.[1],
  )

test(
  'an eight-week block of an eight-day rotation: ramp, deload, an exception, sent, edited, on the calendar, and the next one',
  { tag: '@day' },
  async ({ page, studio }) => {
    test.slow()
    await signIn(page, studio)
    const { id, plan } = studio.client('Marit')
    await openBlock(page, id, 'terms')
    await page.getByRole('spinbutton', { name: 'or weeks' }).fill('8')
    await page.getByRole('button', { name: 'As the method has it' }).click()
    await expect(page.getByText(/ramps, effort and deloads/)).toBeVisible()
    await page
      .getByRole('spinbutton', { name: 'Triceps, sets per 7 days in the last working rotation' })
      .fill('27')
    await page
      .getByRole('spinbutton', { name: 'Triceps, sets per 7 days in the last working rotation' })
      .blur()
    await page.keyboard.press('1')
    await expect(page.getByRole('columnheader', { name: /^Rotation 7, .*deload/ })).toBeVisible()
    expect(await setsOf(page, 'Triceps', 6)).toBeGreaterThan(await setsOf(page, 'Triceps', 1))
    expect(await setsOf(page, 'Triceps', 7)).toBeLessThan(await setsOf(page, 'Triceps', 1))
    // One rotation otherwise, by keyboard, and back.
    await figure(page, 'Biceps', 1).click()
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('ArrowRight')
    const before = await setsOf(page, 'Biceps', 3)
    await page.keyboard.press('+')
    await expect(figure(page, 'Biceps', 3)).toHaveAccessibleName(/an exception$/)
    expect(await setsOf(page, 'Biceps', 3)).toBeGreaterThan(before)
    await page.keyboard.press(']')
    await expect(page.getByText('+1 in reserve').first()).toBeVisible()
    await saved(page)
    // Sent: from then on the first rotation is what was prescribed.
    await figure(page, 'Triceps', 1).click()
    await page.keyboard.press('Shift+Enter')
    await handedOver(page)
    await expect(page.getByText(/^Rotation 1 is sent: \d sessions\.$/)).toBeVisible()
    await expect(page.getByRole('columnheader', { name: /^Rotation 1, .*sent/ })).toBeVisible()
    const [first, second] = [await setsOf(page, 'Biceps', 1), await setsOf(page, 'Biceps', 2)]
    await page.keyboard.press('Enter')
    await boardIsLive(page)
    await cell(page, 'Biceps', 'day 4 Arms').click()
    await page.keyboard.press('+')
    await saved(page)
    await openBlock(page, id)
    expect(await setsOf(page, 'Biceps', 1)).toBe(first)
    expect(await setsOf(page, 'Biceps', 2)).toBeGreaterThan(second)
    await expect(
      page.getByRole('columnheader', { name: /^Rotation 1, .*edited since sent/ }),
    ).toBeVisible()
    await figure(page, 'Biceps', 1).click()
    await page.keyboard.press('Shift+Enter')
    await expect(page.getByRole('heading', { name: 'Rotation 1 has been sent' })).toBeVisible()
    await page.getByRole('button', { name: 'Leave it as sent' }).click()
    // On the calendar of another program: every session on its day.
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Calendar file' }).click(),
    ])
    const events = new ICAL.Component(
      ICAL.parse(readFileSync(await download.path(), 'utf8')) as never[],
    )
      .getAllSubcomponents('vevent')
      .map(component => new ICAL.Event(component))
    expect(events).toHaveLength(
      7 * plan.rotation.days.reduce((sum, day) => sum + day.sessions.length, 0),
    )
    expect(events[0]?.startDate.toString().slice(0, 10)).toBe(plan.startsOn)
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)
    // The next block.
    await page.getByRole('button', { name: 'The next block' }).click()
    await page.getByRole('textbox', { name: 'Title' }).fill('Rigging block')
    await page.getByRole('combobox', { name: 'Chest, mode' }).selectOption('build')
    await page.getByRole('button', { name: 'Put it behind this block' }).click()
    // It waits behind the running one, which is still the block of today.
    await expect(page.getByRole('heading', { name: 'Season' })).toBeVisible()
    await page.getByRole('button', { name: /^Rigging block/ }).click()
    await expect(page.getByRole('region', { name: `${plan.title} to Rigging block` })).toBeVisible()
    await page.getByRole('button', { name: /^Open it/ }).click()
    await expect(page.getByRole('heading', { name: 'Rigging block' })).toBeVisible()
    await expect(page.getByRole('columnheader', { name: /^Rotation 1, .*planned/ })).toBeVisible()
    await page.getByRole('button', { name: 'To today’s block' }).click()
    await expect(page.getByRole('heading', { name: plan.title })).toBeVisible()
  },
)

test('terms refuse what cannot be with the way out, and events move or drop sessions', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  const { id, plan } = studio.client('Marit')
  await openBlock(page, id, 'terms')
  const problem = page.getByRole('alert').filter({ hasText: /./ })
  await page.getByRole('spinbutton', { name: 'or weeks' }).fill('0')
  await page.getByRole('spinbutton', { name: 'or weeks' }).blur()
  await expect(problem).toContainText('Weeks: give a whole number from 1 to 52.')
  await page.getByRole('textbox', { name: /^Rep wave/ }).fill('0 fast')
  await page.getByRole('textbox', { name: /^Rep wave/ }).blur()
  await expect(problem).toContainText('give whole numbers from −8 to 8')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(problem).toContainText('Event: say what it is')
  await page.getByRole('textbox', { name: 'What', exact: true }).fill('Regatta')
  await page.getByLabel('to', { exact: true }).fill('2020-01-01')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(problem).toContainText('its last day lies before its first')
  await page.getByLabel('to', { exact: true }).fill(plan.startsOn)
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('Regatta', { exact: true })).toBeVisible()
  await saved(page)
  await page.getByRole('combobox', { name: 'Exercise of the rotation' }).selectOption({ index: 4 })
  await page.getByRole('combobox', { name: 'The other exercise' }).selectOption({ index: 1 })
  await page.getByRole('button', { name: 'Let them take turns' }).click()
  await page.getByRole('button', { name: /^Calendar/ }).click()
  await expect(page.getByRole('button', { name: /left out: Regatta/ })).toBeVisible()
  await page.getByRole('button', { name: /^Rotations/ }).click()
  await expect(page.getByText('A', { exact: true }).first()).toBeVisible()
  await saved(page)
})

test('a session is carried to another day by keys, with what it costs before it is put down; charts and loads have their tables', async ({
  page,
  studio,
}) => {
  test.slow()
  await signIn(page, studio)
  const { id } = studio.client('Marit')
  await openBlock(page, id, 'calendar')
  const chip = page.getByRole('button', { name: /^Pull, rotation 2,/ })
  await chip.click()
  await page.keyboard.press('ArrowLeft')
  const carrying = page.getByRole('region', { name: 'Carrying' })
  await expect(carrying).toContainText(/Pull of rotation 2: .* → /)
  await expect(carrying).toContainText(/% ready for .* was \d+ %|holds .* already/)
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Pull of rotation 2 is on .* now, 1 day earlier\./)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Pull, rotation 2,.* moved/ })).toBeVisible()
  await saved(page)
  await page
    .getByRole('button', { name: /^Pull, rotation 3,/ })
    .dragTo(
      page
        .getByRole('cell')
        .filter({ has: page.getByRole('button', { name: /^Upper, rotation 3,/ }) }),
    )
  await expect(page.getByText(/Pull of rotation 3 is on .* now, 3 days later\./)).toBeVisible()
  await saved(page)
  await page.keyboard.press('4')
  const volume = page.getByRole('region', { name: /^Biceps, counted sets/ })
  await expect(volume.locator('[data-drawn]')).toBeVisible()
  await volume.getByRole('button', { name: 'table' }).click()
  await expect(volume.getByRole('columnheader', { name: 'counted' })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    volume.getByRole('button', { name: 'CSV' }).click(),
  ])
  expect(readFileSync(await download.path(), 'utf8')).toMatch(
    /^rotation,from,muscle,direct,indirect,counted,floor,target,ceiling\r\n/,
  )
  await page.keyboard.press('3')
  await expect(page.getByRole('combobox', { name: /, rule$/ }).first()).toBeVisible()
  const [table] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click(),
  ])
  expect(readFileSync(await table.path(), 'utf8').split('\r\n').length).toBeGreaterThan(100)
  await page.getByRole('link', { name: 'Print the block' }).click()
  await expect(page.getByText(/A4, \d+ sessions/)).toBeVisible()
})
