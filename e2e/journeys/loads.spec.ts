import { expect, onThisDay, openSession, saved, signedIn, test } from '../support/test'
import { serverToday } from '../../server/clock'

/** What is typed for the first four exercises of a day: a ladder, a back-off, a double drop, a rest-pause. */
const TYPED = [
  '3 x 12/10/8, 20kg; load +5kg a set',
  '1 x 6, 40kg, then 2 x 10, drop 10%',
  '2 x 12 30kg | drop 20% 9 | drop 20% 7',
  '2 x 8 20kg | rest 20s | to failure',
]
interface Part {
  readonly load: { readonly kind: string; readonly amount?: number }
}
interface SheetAnswer {
  readonly sessions: readonly {
    readonly session: {
      readonly id: string
      readonly on: string
      readonly name: string
      readonly exercises: readonly {
        readonly slot: string
        readonly name: string
        readonly why: string
      }[]
      readonly ways: readonly {
        readonly sets: Readonly<Record<string, readonly { readonly parts: readonly Part[] }[]>>
      }[]
    }
  }[]
}

test('a ladder, a back-off, a double drop and a rest-pause: typed, sent, done on the phone as planned, read in the next rotation', async ({
  page,
  browser,
  studio,
}) => {
  test.slow()
  const { id, blockId, plan } = studio.client('Marit')
  // A day that begins with a curl: no ramp of the block adds sets to it.
  const day = plan.rotation.days.findIndex(({ sessions }) => {
    const slots = sessions.flatMap(({ groupings }) => groupings.flatMap(held => held.slots))
    return slots.length >= TYPED.length && /curl/.test(slots[0]!.exercise)
  })
  const firstSlot = plan.rotation.days[day]!.sessions[0]!.groupings[0]!.slots[0].id
  await signedIn(page, studio)
  await openSession(page, id, day + 1)
  const fields = page.getByRole('textbox', { name: /^Sets of .* in shorthand/ })
  for (const [at, text] of TYPED.entries()) {
    await fields.nth(at).fill(text)
    await fields.nth(at).press('Enter')
  }
  await saved(page)
  const today = serverToday()
  const api = async <Answer>(path: string, data?: object) =>
    (
      await (data ? page.request.post(path, { data }) : page.request.get(path))
    ).json() as Promise<Answer>
  const { block } = await api<{ block: { version: number } }>(`/api/clients/${id}`)
  const days = (Date.parse(today) - Date.parse(plan.startsOn)) / 86_400_000
  const pass = Math.floor(days / plan.rotation.days.length)
  for (const at of [pass, pass + 1])
    await api(`/api/blocks/${blockId}/send`, { pass: at, version: block.version, again: false })
  const { token } = await api<{ token: string }>(`/api/clients/${id}/link`, {
    pin: null,
    days: null,
  })
  const { key } = await api<{ key: string }>('/api/sheet/open', { token, pin: null })
  const sheets = async () =>
    (
      (await (
        await page.request.get('/api/sheet', {
          headers: { authorization: `Sheet ${key}`, 'x-today': today },
        })
      ).json()) as SheetAnswer
    ).sessions.filter(({ session }) => session.exercises[0]?.slot === firstSlot)
  const loads = ({ session }: SheetAnswer['sessions'][number], at: number) =>
    session.ways[0]!.sets[session.exercises[at]!.slot]!.map(
      ({ parts }) => parts[0]!.load.amount ?? null,
    )
  const ahead = (await sheets()).filter(({ session }) => session.on >= today)
  const [first] = ahead
  expect(loads(first!, 0)).toEqual([20, 25, 30])
  const [top, ...behind] = loads(first!, 1)
  expect(top).toBe(40)
  for (const load of behind) expect(load!).toBeLessThanOrEqual(36)

  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    baseURL: process.env.BASE_URL!,
    hasTouch: true,
    isMobile: true,
  })
  await onThisDay(context)
  const phone = await context.newPage()
  await phone.goto(`/sheet/${token}`)
  await phone
    .getByRole('button', { name: new RegExp(first!.session.name) })
    .first()
    .click()
  const done = new Map<string, string[]>()
  const load = phone.getByRole('textbox', { name: /^Load in / })
  const reps = phone.getByLabel('Reps', { exact: true })
  const named = first!.session.exercises.slice(0, TYPED.length).map(({ name }) => name)
  const sets = named.reduce(
    (sum, _, at) =>
      sum +
      first!.session.ways[0]!.sets[first!.session.exercises[at]!.slot]!.reduce(
        (parts, set) => parts + set.parts.length,
        0,
      ),
    0,
  )
  for (let taps = 0; taps < 60 && [...done.values()].flat().length < sets; taps++) {
    const name = (await phone.getByRole('heading', { level: 2 }).first().textContent())!.trim()
    if ((await load.count()) > 0 && named.includes(name))
      done.set(name, [...(done.get(name) ?? []), await load.inputValue()])
    if ((await reps.count()) > 0 && (await reps.inputValue()) === '') await reps.fill('8')
    if ((await load.count()) > 0 && (await load.inputValue()) === '') await load.fill('10')
    await phone.getByRole('button', { name: /^Log / }).click()
  }
  expect(done.get(named[0]!)).toEqual(['20', '25', '30'])
  // Every set begins at its weight and drops twice, by what there is to load.
  const drops = done.get(named[2]!)!.map(Number)
  expect(new Set(drops).size).toBe(3)
  expect(Math.max(...drops)).toBe(30)
  expect(new Set(done.get(named[3]!)!)).toEqual(new Set(['20']))
  await phone.getByRole('button', { name: 'Less time, more' }).click()
  await phone.getByRole('button', { name: 'Finish the session now' }).click()
  await phone.getByRole('button', { name: new RegExp(`^Finish ${first!.session.name}`) }).click()
  await expect(phone.locator('.phone')).toHaveAttribute('data-waiting', '0')
  await context.close()

  const next = (await sheets()).find(
    ({ session }) =>
      session.on > first!.session.on &&
      session.exercises[0]!.slot === first!.session.exercises[0]!.slot,
  )!
  expect(loads(next, 0)).toEqual([22.5, 27.5, 32.5])
  expect(next.session.exercises[0]!.why).toMatch(/^\+2\.5\skg: /)
  // The block's Loads say the same as the phone.
  await page.goto(`/clients/${id}/block?view=loads`)
  await expect(page.getByRole('row', { name: new RegExp(named[0]!) })).toContainText(
    '22.5, 27.5, 32.5',
  )
})

test('what the studio can load: a line with a slip is refused at its place, a good one is kept and can be taken back', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await page.goto('/account')
  const dumbbells = page.getByLabel('Dumbbells')
  await dumbbells.fill('4-20 by 0')
  await expect(page.getByRole('alert')).toContainText('needs a step above 0')
  await dumbbells.fill('4-20 by 2, 22.5')
  await expect(page.getByText(/^4, 6, 8, 10, 12, 14, 16, 18, and 2 more kg$/)).toBeVisible()
  await page.getByRole('button', { name: 'Save the weights' }).click()
  await expect(page.getByText('Saved. Loads are rounded to it from now on.')).toBeVisible()
  await page.reload()
  await expect(dumbbells).toHaveValue('4-20 by 2, 22.5')
  await dumbbells.fill('10, 20')
  await page.getByRole('button', { name: 'Save the weights' }).click()
  await expect(page.getByText('Saved. Loads are rounded to it from now on.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(dumbbells).toHaveValue('4-20 by 2, 22.5')
})
