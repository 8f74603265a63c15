import { AxeBuilder } from '@axe-core/playwright'
import { PLAIN_WEEKS, plainWeek } from '../../core/testing/plainPlans'
import {
  boardIsLive,
  cell,
  expect,
  openSplit,
  saved,
  signedIn,
  signIn,
  test,
  week,
} from '../support/test'

test('a new client is entered on one page and ready to plan', async ({ page, studio }) => {
  await signIn(page, studio)
  await page.getByRole('link', { name: 'New client' }).click()
  const open = page.getByRole('button', { name: 'Open the board' })
  await expect(open).toBeEnabled()
  await open.click()
  await expect(page.getByText('Name is empty; fill it in.', { exact: true })).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Tora Eikeland')
  await page.getByLabel('Months of training').fill('50')
  await page.getByLabel('Method', { exact: true }).selectOption('Own arm day')
  await expect(page.getByRole('row', { name: /^Biceps/ })).toContainText('14')
  await page.getByRole('button', { name: 'Dumbbells and bench' }).click()
  await expect(page.getByText('3 kinds of equipment.')).toBeVisible()
  await page.getByRole('group', { name: 'Wed', exact: true }).getByRole('checkbox').check()
  await page.getByRole('group', { name: 'Wed', exact: true }).getByLabel('min').fill('45')
  expect(
    (await new AxeBuilder({ page }).analyze()).violations
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .map(({ id, nodes }) => `${id} ${nodes[0]?.target.join(' ')}`),
  ).toEqual([])
  await open.click()

  await boardIsLive(page)
  await expect(page.getByRole('heading', { name: 'Tora Eikeland' })).toBeVisible()
  await expect(week(page, 'Biceps')).toHaveAccessibleName(/floor 14, target 21, ceiling 30/)
  await expect(page.getByRole('heading', { name: 'Nothing is planned yet' })).toBeVisible()
  await expect(page.getByRole('columnheader', { name: /^1 Full body Mon/ })).toBeVisible()
  await cell(page, 'Biceps', 'day 1 Full body').click()
  await page.keyboard.press('e')
  await expect(page.getByRole('option', { name: /Cable curl/ })).toHaveCount(0)
  await page.getByRole('option', { name: /^Dumbbell curl/ }).click()
  await expect(cell(page, 'Biceps', 'day 1 Full body')).toHaveAccessibleName(/2 direct/)
  await saved(page)
})

test('a changed profile changes the bands of the board, and what is impossible is refused with its field', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/422/)
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/floor 10, target 16, ceiling 22/)
  await page.getByRole('link', { name: 'Client', exact: true }).click()
  const save = page.getByRole('button', { name: 'Save the profile' })
  await expect(save).toBeEnabled()
  await page.getByRole('group', { name: 'Mon' }).getByLabel('min').fill('1800')
  await save.click()
  await expect(page.getByText(/may be at most 240/).first()).toBeVisible()
  await page.getByRole('group', { name: 'Mon' }).getByLabel('min').fill('60')
  await page.getByRole('combobox', { name: 'Triceps' }).selectOption('maintain')
  await page
    .getByRole('radiogroup', { name: /fainted/ })
    .getByLabel('yes')
    .check()
  await expect(page.getByText(/Please ask a physician/)).toBeVisible()
  await page.getByRole('button', { name: 'Joint note' }).click()
  await page.getByLabel('What provokes note 1').fill('Straight bars')
  await page.getByRole('button', { name: 'Load from outside' }).click()
  await page.getByLabel('Load 1', { exact: true }).fill('Rowing practice')
  await page.getByLabel('Amount of load 1').selectOption('amount estimated')
  await page.getByLabel('sets each').fill('1.5')
  await page.getByRole('group', { name: 'Regular load from outside' }).getByLabel('Tue').check()
  await page.getByRole('group', { name: 'Regular load from outside' }).getByLabel('Biceps').check()
  await page.getByRole('combobox', { name: 'To avoid' }).fill('barbell curl')
  await page.getByRole('option', { name: 'Barbell curl' }).click()
  await page.getByRole('textbox', { name: 'profession' }).fill('physician')
  await page.getByLabel('Weak points').fill('<script>alert(1)</script> 💪 ضعيف')
  await save.click()
  await expect(page.getByText(/must be a calendar day/).first()).toBeVisible()
  await page.getByLabel('on', { exact: true }).fill('2026-03-02')
  await expect(page.getByText('Nothing speaks against planning.')).toBeVisible()
  await save.click()
  await expect(page.getByText('Saved. The board uses it from now on.')).toBeVisible()
  const { facts } = (await (
    await page.request.get(`/api/clients/${studio.client('Joren').id}`)
  ).json()) as { facts: object }
  expect(facts).toMatchObject({
    avoid: ['barbell_curl'],
    screening: 'clear',
    sideLoads: [
      {
        what: 'Rowing practice',
        weekdays: [2],
        times: { low: 1, high: 1 },
        setsEach: 1.5,
        isEstimate: true,
        groups: ['biceps'],
      },
    ],
  })
  await page.reload()
  await expect(page.getByLabel('What provokes note 1')).toHaveValue('Straight bars')
  await expect(page.getByLabel('Weak points')).toHaveValue('<script>alert(1)</script> 💪 ضعيف')
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/floor 3, target 5, ceiling 8/)
})

test('the door refuses what the form would not let out', async ({ page, studio }) => {
  await signIn(page, studio)
  const { profile } = studio.client('Joren')
  const bad = [
    [{ ...profile, name: '   ' }, '/name'],
    [{ ...profile, days: [{ weekday: 1, minutes: 60, start: '29:00' }] }, '/days/0/start'],
    [{ ...profile, days: [] }, '/days'],
    [{ ...profile, goal: 'x'.repeat(5000) }, '/goal'],
    [{ ...profile, method: 'nobody-knows' }, '/method'],
    [{ ...profile, name: 'JOREN haakestad' }, '/name'],
    [{ ...profile, name: 'Another', avoid: ['own-nothing'] }, '/avoid/0'],
    [{ ...profile, days: [{ weekday: 1, minutes: 1800, start: '17:30' }] }, '/days/0/minutes'],
    [
      {
        ...profile,
        screening: {
          answers: {},
          clearance: { on: '2026-02-30', profession: 'Physician', limits: '' },
        },
      },
      '/screening/clearance/on',
    ],
  ] as const
  for (const [body, pointer] of bad) {
    const answer = await page.request.post('/api/clients', { data: body })
    expect.soft(answer.status(), pointer).toBe(422)
    expect.soft((await answer.json()).errors[0].pointer).toBe(pointer)
  }
})

test('a plain four-day week of a new client has an almost silent board, and what is allowed is not asked about', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { profile } = studio.client('Joren')
  const made = await page.request.post('/api/clients', {
    data: {
      ...profile,
      name: 'Runa Tveit',
      trainingAgeMonths: 24,
      method: 'steady-middle',
      modes: {},
    },
  })
  const { id } = await made.json()
  const { block } = await (await page.request.get(`/api/clients/${id}`)).json()
  const { plan } = plainWeek(PLAIN_WEEKS[0]!, 24)
  const rotation = { ...block.plan.rotation, days: plan.rotation.days }
  const saving = await page.request.put(`/api/blocks/${block.id}/plan`, {
    data: { version: block.version, plan: { ...block.plan, rotation } },
  })
  expect(saving.status()).toBe(200)
  await page.goto(`/clients/${id}/split`)
  await boardIsLive(page)
  const list = page.getByRole('region', { name: 'To look at' })
  await expect(list.getByRole('heading')).toHaveText(/^(Nothing|[12]) to look at$/)

  // A grip without the thumb is asked about until it is allowed on the profile.
  const thumbless = JSON.parse(
    JSON.stringify(rotation).replace(
      /("exercise":"seated_cable_row".*?"kind":"work")/,
      '$1,"thumbless":true',
    ),
  )
  const { version } = (await (await page.request.get(`/api/clients/${id}`)).json()).block
  const changed = await page.request.put(`/api/blocks/${block.id}/plan`, {
    data: { version, plan: { ...block.plan, rotation: thumbless } },
  })
  expect(changed.status()).toBe(200)
  await page.reload()
  await boardIsLive(page)
  await expect(list).toContainText('thumbless grip, which is not allowed for this client yet')
  await page.goto(`/clients/${id}`)
  const save = page.getByRole('button', { name: 'Save the profile' })
  await expect(save).toBeEnabled()
  await page.getByRole('checkbox', { name: /^thumbless grip/i }).check()
  await save.click()
  await expect(page.getByText('Saved. The board uses it from now on.')).toBeVisible()
  await page.goto(`/clients/${id}/split`)
  await boardIsLive(page)
  await expect(list).not.toContainText('not allowed for this client yet')
})
