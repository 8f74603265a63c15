import type { Page } from '@playwright/test'
import { utils, write } from '@e965/xlsx'
import type { TestStudio } from '../support/studio'
import { boardIsLive, expect, saved, signedIn, test, week } from '../support/test'

/** A new client of the studio with days of her own, and the board open. */
async function clientOn(
  page: Page,
  studio: TestStudio,
  name: string,
  weekdays: readonly number[],
  minutes = 60,
): Promise<string> {
  await signedIn(page, studio)
  const own = await page.request.get(`/api/clients/${studio.client('Joren').id}/profile`)
  const made = await page.request.post('/api/clients', {
    data: {
      ...((await own.json()) as object),
      name,
      days: weekdays.map(weekday => ({ weekday, minutes, start: '17:30' })),
    },
  })
  const { id } = (await made.json()) as { id: string }
  await page.goto(`/clients/${id}/split`)
  await boardIsLive(page)
  return id
}
const heads = (page: Page) => page.getByRole('columnheader', { name: /^[1-7] (?!Rest)/ })

test('the four-day template lands on Tue, Thu, Sat and Sun in 45 minutes, and the list says why it stands where it does', async ({
  page,
  studio,
}) => {
  const id = await clientOn(page, studio, 'Tove Skarvøy', [2, 4, 6, 7], 45)
  await page.keyboard.press('o')
  const list = page.getByRole('list', { name: 'Templates, best fit first' })
  await expect(list.getByRole('listitem').first()).toContainText(/4 of the client’s 4 days/)
  const four = list.getByRole('listitem').filter({ hasText: 'Four days: upper, lower, twice' })
  await expect(four).toContainText('made shorter')
  await expect(four.getByRole('img', { name: /^Direct arm sets: day 1 Rest/ })).toBeVisible()
  await four.getByRole('button', { name: /^Use/ }).click()
  await expect(page.getByText(/fitted to this client\. Z brings/)).toBeVisible()
  await saved(page)
  const view = (await (await page.request.get(`/api/clients/${id}`)).json()) as {
    block: {
      plan: { rotation: { days: { sessions: unknown[]; minuteLimit?: number }[] } }
    }
  }
  const { days } = view.block.plan.rotation
  expect(days.map(({ sessions }) => sessions.length)).toEqual([0, 1, 0, 1, 0, 1, 1])
  expect(days.flatMap(({ minuteLimit }) => minuteLimit ?? [])).toEqual([45, 45, 45, 45])
  await page.keyboard.press('z')
  await expect(heads(page)).not.toHaveCount(0)
})

test('a week pasted as notes is read at once, asked where it leaves something open, and looked at before it is kept', async ({
  page,
  studio,
}) => {
  await clientOn(page, studio, 'Runa Hestvik', [1, 4, 6])
  await expect(page.getByRole('heading', { name: 'Nothing is planned yet' })).toBeVisible()
  await page.keyboard.press('i')
  await page
    .getByLabel('Notes of a session, a week or a block')
    .fill(
      'Mon push: bench 4x8, cgbp 3x10, pushdown 3x12-15 drop last\n' +
        'Thu pull: pull-ups 4x8, curls 3x12\nSat arms: sz curl 3x10 + skullcrushers 3x10 (slow)\nFocus on form!',
    )
  const read = page.getByRole('group', { name: 'What was read' })
  await expect(read).toContainText('Bar pushdown 3 x 12-15, last: drop 20% to failure')
  await expect(page.getByText('Line 4 is not read and stays out')).toBeVisible()
  const show = page.getByRole('button', { name: 'Show it on the board' })
  await expect(show).toBeDisabled()
  await page.getByLabel('Exercise for curls').selectOption({ label: 'Dumbbell curl' })
  await show.click()
  await expect(page.getByText('On trial: plan from notes.')).toBeVisible()
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/^Triceps: (?!0\.0)/)
  await expect(page.getByText('Not saved: on trial')).toBeVisible()
  await page.keyboard.press('Enter')
  await saved(page)
  await page.reload()
  await boardIsLive(page)
  await expect(heads(page)).toHaveCount(3)
  await page.keyboard.press('z')
  await expect(page.getByRole('heading', { name: 'Nothing is planned yet' })).toBeVisible()
})

test('a block opened from a spreadsheet is planned and sent', async ({ page, studio }) => {
  await clientOn(page, studio, 'Sindre Lyngøy', [1, 3, 5])
  const book = utils.book_new()
  utils.book_append_sheet(
    book,
    utils.aoa_to_sheet([
      ['Block of autumn'],
      [],
      ['Day', 'Exercise', 'Sets', 'Reps', 'Weight (kg)', 'RIR', 'Notes'],
      ['Mon push', 'Bench', 4, 8, 60, 2, 'pause on the chest'],
      ['', 'Rope pushdown', 3, '12-15', 20, 1, ''],
      ['Wed pull', 'Lat pulldown', 4, 10, 55, 2, ''],
      ['', 'SZ curl', 3, 10, 25, 1, ''],
      ['Fri arms', 'Incline curl', 3, 12, 10, 1, ''],
      ['', 'Skull crushers', 3, 12, 22.5, 1, ''],
    ]),
    'Plan',
  )
  await page.keyboard.press('i')
  await page.getByLabel('Open a table').setInputFiles({
    name: 'autumn.xlsx',
    mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    buffer: write(book, { type: 'buffer', bookType: 'xlsx' }) as Buffer,
  })
  await expect(page.getByRole('combobox', { name: 'Load', exact: true })).toHaveValue('4')
  const read = page.getByRole('group', { name: 'What was read' })
  await expect(read).toContainText('Bench press, barbell 4 x 8, 60kg, rir 2 “pause on the chest”')
  await expect(read).toContainText('Lying extension, to forehead 3 x 12, 22.5kg, rir 1')
  await page.getByRole('button', { name: 'Show it on the board' }).click()
  await page.keyboard.press('Enter')
  await saved(page)
  await page.getByRole('link', { name: 'Block', exact: true }).click()
  await page.getByRole('button', { name: /^Send rotation 1/ }).click()
  await expect(page.getByRole('img', { name: 'QR code of the link' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText(/^Rotation 1 is sent: 3 sessions\.$/)).toBeVisible()
})

test('heads and grips that a block misses are seen, turns that fill them proposed, taken and taken back', async ({
  page,
  studio,
}) => {
  const id = await clientOn(page, studio, 'Eir Nesdal', [1, 3, 5])
  await page.keyboard.press('i')
  await page
    .getByLabel('Notes of a session, a week or a block')
    .fill('Mon: pushdown 4x12, cable curl 4x12\nWed: rope pushdown 4x12\nFri: barbell curl 3x10')
  await page.getByRole('button', { name: 'Show it on the board' }).click()
  await page.keyboard.press('Enter')
  await saved(page)
  await page.goto(`/clients/${id}/block?view=heads`)
  await expect(
    page.locator('[aria-busy=false]').filter({ has: page.getByRole('group', { name: 'View' }) }),
  ).toBeVisible()
  const cell = (rotation: number) =>
    page.getByRole('img', {
      name: new RegExp(`^Triceps, arm overhead, rotation ${rotation}: `),
    })
  await expect(cell(1)).toHaveAccessibleName(/not at all/)
  await page.keyboard.press('p')
  const proposed = page.getByRole('list', { name: 'Proposed turns' })
  await expect(proposed.getByRole('listitem').first()).toContainText('take turns')
  await expect(page.getByText(/Triceps, arm overhead 0\u00A0% to/)).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText('The turns are in the block. Z takes them back.')).toBeVisible()
  await expect(cell(2)).toHaveAccessibleName(/reached/)
  await page.keyboard.press('2')
  await expect(page.getByRole('region', { name: 'Exercises that take turns' })).toContainText('B')
  await page.keyboard.press('z')
  await page.keyboard.press('6')
  await expect(cell(2)).toHaveAccessibleName(/not at all/)
})

test('a file that is no table is told, and nothing is lost', async ({ page, studio }) => {
  await clientOn(page, studio, 'Ylva Torsnes', [1, 3])
  await page.keyboard.press('i')
  const notes = page.getByLabel('Notes of a session, a week or a block')
  await notes.fill('bench 4x8')
  await page.getByLabel('Open a table').setInputFiles({
    name: 'picture.xlsx',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from([0x50, 0x4b, 3, 4, 0, 0, 1, 2, 3]),
  })
  await expect(page.getByRole('alert')).toHaveText(/^picture\.xlsx holds no table/)
  await expect(notes).toHaveValue('bench 4x8')
})
