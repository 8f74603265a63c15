import { CASES } from '../../core/testing/cases'
import {
  boardIsLive,
  cell,
  expect,
  openSession,
  openSplit,
  saved,
  sessionIsLive,
  shorthand,
  signedIn,
  test,
} from '../support/test'

/** Minutes as the head of the session says them, in seconds. */
async function seconds(page: Parameters<typeof openSession>[0]): Promise<number> {
  const text = await page.locator('dl.figures dd').first().innerText()
  const [minutes = 0, rest = 0] = text.split(':').map(Number)
  return minutes * 60 + rest
}

test('an arm day of three antagonist supersets within 45 minutes, from nothing and by keyboard alone', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const marit = studio.client('Marit')
  await openSession(page, marit.id, 4)
  // From nothing: the day's exercises are taken out one by one.
  for (let left = 7; left > 0; left--) await page.keyboard.press('Delete')
  await expect(page.getByText('Nothing here yet.')).toBeVisible()

  await page.keyboard.press('e')
  const exercise = page.getByRole('combobox', { name: 'Exercise' })
  for (const letters of [
    'cable curl, bar',
    'overhead rope',
    'incline dumbbell curl',
    'rope pushdown',
    'hammer curl',
    'one-arm pushdown',
  ]) {
    await exercise.fill(letters.replace(',', ''))
    await expect(page.getByRole('option').first()).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(
      page
        .getByRole('status')
        .filter({ hasText: /3 sets of .* added/ })
        .first(),
    ).toBeVisible()
    await expect(exercise).toHaveValue('')
  }
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'Add exercises' })).toBeHidden()
  // Pair the first with the second, and so on.
  for (let pair = 0; pair < 3; pair++) {
    await page.keyboard.press(pair === 0 ? 'ArrowUp' : 'ArrowRight')
    if (pair === 0) for (let up = 0; up < 6; up++) await page.keyboard.press('ArrowUp')
    await page.keyboard.press('s')
  }
  await expect(page.getByRole('combobox', { name: /^How group \d is done/ })).toHaveCount(3)
  await expect(page.getByText(/6 exercises, 3 together/)).toBeVisible()
  expect(await seconds(page)).toBeLessThanOrEqual(45 * 60)
  await expect(page.getByText(/pairing saves \d+:\d\d/)).toBeVisible()
  await saved(page)
  await page.reload()
  await sessionIsLive(page)
  await expect(page.getByText(/6 exercises, 3 together/)).toBeVisible()
})

test('the board opens a day with Enter, and the session changes what the board shows', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await cell(page, 'Biceps', 'day 2 Pull').click()
  await page.keyboard.press('Enter')
  await sessionIsLive(page)
  await expect(page.getByRole('heading', { level: 1, name: 'Day 2 Pull' })).toBeVisible()
  const field = page.getByRole('textbox', { name: /^Sets of .*curl.* in shorthand/ }).first()
  await field.fill('5 x 8-10, rir 1, rest 120s')
  await field.press('Enter')
  await saved(page)
  await page.getByRole('link', { name: 'Split', exact: true }).click()
  await boardIsLive(page)
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/5 direct/)
})

test('shorthand and controls show each other; what does not read stays as typed, over a reload too', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await openSession(page, id, 4)
  const field = shorthand(page, 'Cable curl, bar')
  await page.getByRole('button', { name: 'Settings of Cable curl, bar' }).click()
  await page.getByRole('spinbutton', { name: 'RIR' }).fill('1')
  await page.getByRole('spinbutton', { name: 'RIR' }).press('Tab')
  await expect(field).toHaveValue(/rir 1/)
  await page.getByRole('combobox', { name: 'Grip', exact: true }).selectOption('palms up')
  await expect(field).toHaveValue(/palms up/)
  await page.getByRole('combobox', { name: 'Way to do the sets' }).selectOption({
    label: await page.getByRole('option', { name: /^Short rests on the last set/ }).innerText(),
  })
  await expect(field).toHaveValue(/last: rest 20s \| to failure \| rest 20s \| to failure/)
  await field.fill('4 x 10, rir 2, rest 90s')
  await field.press('Enter')
  await expect(page.getByRole('spinbutton', { name: 'Sets', exact: true })).toHaveValue('4')
  await expect(page.getByRole('spinbutton', { name: 'RIR' })).toHaveValue('2')

  await field.fill('4 x 10, rri 2')
  await field.press('Enter')
  await expect(page.getByText(/At character 9.*cannot be read/)).toBeVisible()
  await expect(
    page.getByText(/Kept as typed; the plan still has 4 x 10, rir 2, rest 90s/),
  ).toBeVisible()
  await saved(page)
  await page.reload()
  await sessionIsLive(page)
  await expect(field).toHaveValue('4 x 10, rri 2')
  await field.fill('31 x 10')
  await field.press('Enter')
  await expect(page.getByText(/may be at most 20/)).toBeVisible()
  await field.press('Escape')
  await expect(field).toHaveValue('4 x 10, rir 2, rest 90s')
})

test('one example of every way to do sets is typed; count, minutes and paper agree', async ({
  page,
  studio,
}) => {
  test.slow()
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await openSession(page, id, 4)
  const halves = [CASES.slice(0, 34), CASES.slice(34)]
  for (const cases of halves) {
    await page.keyboard.press('x')
    const text = page.getByRole('textbox', { name: 'Session' })
    await expect(text).not.toHaveValue('')
    await text.fill(cases.flatMap(({ lines }) => lines).join('\n'))
    const summary = await page.getByText(/^\d+ sets in \d+:\d\d\.$/).innerText()
    await page.getByRole('button', { name: /^Take it into the plan/ }).click()
    const [, sets = '', minutes = ''] = /^(\d+) sets in (\d+:\d\d)/.exec(summary) ?? []
    await expect(page.locator('dl.figures dd').first()).toHaveText(minutes)
    await expect(page.locator('dl.figures')).toContainText(`${sets} sets`)
    await saved(page)
    await page.getByRole('link', { name: 'Print' }).click()
    const paper = page.getByRole('article')
    await expect(paper).toContainText(`${sets} sets · ${minutes} min`)
    await expect(paper).not.toContainText('undefined')
    await page.getByRole('link', { name: 'Back' }).click()
    await sessionIsLive(page)
  }
})

test('thirty minutes instead: what is kept is shown, a step can be refused, and the plan stays as it is on other dates', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await openSession(page, id, 4)
  const before = await seconds(page)
  await page.keyboard.press('l')
  await page.getByRole('spinbutton', { name: 'Minutes today' }).fill('30')
  await expect(page.getByText(/^(2\d|30)\sof 30\smin\./)).toBeVisible()
  const steps = page.getByRole('region', { name: 'Steps' })
  await expect(steps.getByText('General warm-up of two minutes')).toBeVisible()
  await page.getByRole('button', { name: 'Not this: General warm-up of two minutes' }).click()
  await expect(steps.getByRole('button', { name: 'allow again' })).toBeVisible()
  await expect(page.getByText(/^(2\d|30)\sof 30\smin\./)).toBeVisible()
  await page.getByRole('button', { name: 'Only on this date' }).click()
  await expect(page.getByText('Kept for that date; the plan stays as it is.')).toBeVisible()
  expect(await seconds(page)).toBe(before)
  await saved(page)
  await page.keyboard.press('o')
  await expect(page.getByText(/shortened, (2\d:\d\d|30:00)/)).toBeVisible()
  await page.getByRole('button', { name: 'back to the plan' }).click()
  await expect(page.getByText('Every date has the session as it is planned.')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('l')
  await page.getByRole('spinbutton', { name: 'Minutes today' }).fill('3')
  await expect(page.getByText('Give a time between 5 and 240 minutes.')).toBeVisible()
})

test('a sore elbow: a kinder exercise stands in here, on one date, or for good', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await openSession(page, id, 4)
  await page.getByRole('button', { name: /^Overhead cambered-bar extension, swap it/ }).click()
  await page.getByRole('radio', { name: 'it hurts' }).check()
  await page.getByRole('combobox', { name: 'where' }).selectOption('back of the elbow')
  await expect(page.getByText(/Suggest an examination by a licensed professional/)).toBeVisible()
  const first = page
    .getByRole('radio', { checked: true })
    .filter({ hasText: 'back of the elbow low stress' })
    .or(page.getByRole('radiogroup', { name: 'Stand-ins' }).getByRole('radio').first())
  await expect(first.first()).toBeVisible()
  await page.getByRole('button', { name: 'For good, and avoid it' }).click()
  await expect(page.getByText(/is avoided from now on/)).toBeVisible()
  await expect(
    page.getByRole('button', { name: /^Overhead cambered-bar extension, swap it/ }),
  ).toHaveCount(0)
  await saved(page)
  await page.getByRole('link', { name: 'Client', exact: true }).click()
  await expect(page.getByText('Overhead cambered-bar extension')).toBeVisible()
})

test('a template is fitted to the client, a session is kept as one and taken away again', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/422/)
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await openSession(page, id, 4)
  await page.keyboard.press('b')
  await page.getByRole('textbox', { name: 'Keep this session as' }).fill('Marit on Saturdays')
  await page.getByRole('button', { name: 'Keep as a template' }).click()
  await expect(page.getByRole('button', { name: /^Marit on Saturdays/ })).toBeVisible()
  await page.getByRole('textbox', { name: 'Keep this session as' }).fill('marit ON saturdays')
  await page.getByRole('button', { name: 'Keep as a template' }).click()
  await expect(page.getByText(/Name .*is taken by another template/)).toBeVisible()
  await page.getByRole('button', { name: /^Triceps first/ }).click()
  await page.getByRole('button', { name: 'In place of this session' }).click()
  await expect(page.getByText('Triceps first put in. Z undoes it.')).toBeVisible()
  await expect(shorthand(page, 'Rope pushdown')).toBeVisible()
  await page.keyboard.press('z')
  await expect(shorthand(page, 'Preacher curl, cambered bar')).toBeVisible()
  await page.keyboard.press('b')
  await page.getByRole('button', { name: /^Marit on Saturdays/ }).click()
  await page.getByRole('button', { name: 'Remove this template' }).click()
  await expect(page.getByRole('button', { name: /^Marit on Saturdays/ })).toHaveCount(0)
})

test('exercises are dragged together and apart on the strip', async ({ page, studio }) => {
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await openSession(page, id, 4)
  const plank = (name: RegExp) =>
    page.getByRole('region', { name: 'The session to scale' }).getByRole('button', { name })
  await plank(/^3: Reverse curl/).dragTo(plank(/^1: Cable curl/))
  await expect(
    plank(
      /^1: Cable curl, bar, 4 sets with Overhead cambered-bar extension, 4 sets with Reverse curl, 3 sets/,
    ),
  ).toBeVisible()
  await page.keyboard.press('z')
  await expect(plank(/^3: Reverse curl/)).toBeVisible()
  const target = await plank(/^1: Cable curl/).boundingBox()
  await plank(/^3: Reverse curl/).dragTo(plank(/^1: Cable curl/), {
    targetPosition: { x: 6, y: (target?.height ?? 40) / 2 },
  })
  await expect(plank(/^1: Reverse curl/)).toBeVisible()
})

test('checks stand beside the session, and their fix is one key away', async ({ page, studio }) => {
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await openSession(page, id, 4)
  const checks = page.getByRole('region', { name: 'Checks of this session' })
  await expect(checks.getByText(/first elbow work, with the elbow cold/)).toBeVisible()
  // What can hurt and what costs most comes first; N goes on to the next.
  const fix = page.getByRole('button', { name: /^Fix it/ })
  const current = checks.getByRole('listitem').filter({ has: fix })
  await expect(async () => {
    await page.keyboard.press('n')
    await expect(current).toContainText(/first elbow work/, { timeout: 500 })
  }).toPass()
  await page.keyboard.press('f')
  await expect(checks.getByText(/first elbow work, with the elbow cold/)).toBeHidden()
  const field = shorthand(page, 'Rope pushdown')
  await field.fill('3 x 12, 999kg stack')
  await field.press('Enter')
  await expect(checks.getByText(/more than a client is likely to lift/)).toBeVisible()
})

test('a session prints on A4 as a PDF of its own page', async ({ page, studio }) => {
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await page.goto(`/clients/${id}/print?day=4`)
  await expect(page.getByRole('heading', { name: /^Day 4 Arms/ })).toBeVisible()
  const pdf = await page.pdf({ preferCSSPageSize: true })
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length).toBeLessThanOrEqual(2)
  await page.goto(`/clients/${id}/print`)
  await expect(page.getByRole('article')).toHaveCount(6)
})

test('nobody else’s session opens, and a day the rotation has not is no page', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/404/)
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  expect((await page.goto(`/clients/${id}/session/40`))?.status()).toBe(404)
  expect(
    (await page.goto('/clients/00000000-0000-4000-8000-000000000000/session/1'))?.status(),
  ).toBe(404)
})
