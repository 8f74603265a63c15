import { test as base, type BrowserContext, expect, type Page } from '@playwright/test'
import { currentTime } from '../../server/clock'
import type { ToldOtherwise } from '../../server/demo/toldOtherwise'
import { newStudio, type TestStudio } from './studio'

interface Fixtures {
  /** The coach of this test. */
  readonly studio: TestStudio
  /** Whether the studio's clients have a log. */
  readonly logs: 'none' | 'logged'
  /** Pasts that are told otherwise than the demo has them, by the beginning of a name. */
  readonly stories: ToldOtherwise
  /** Console errors that a journey provokes on purpose. */
  readonly expectedErrors: RegExp[]
}

/** The browser's clock goes as the server's does (server/clock.ts): on another day where `DEMO_TODAY` names one. */
function moveClock(offset: number): void {
  if (offset === 0) return
  const RealDate = Date
  class MovedDate extends RealDate {
    constructor(...parts: unknown[]) {
      // A date that names its parts is that date; only this moment is moved.
      super(...((parts.length > 0 ? parts : [RealDate.now() + offset]) as [number]))
    }
    static override now = () => RealDate.now() + offset
  }
  globalThis.Date = MovedDate as DateConstructor
}
const offsetMs = currentTime().getTime() - Date.now()

/** Every window of this context lives on the day of the run; for contexts that a journey opens by itself. */
export const onThisDay = (context: BrowserContext) => context.addInitScript(moveClock, offsetMs)

/** Journeys of one coach each; an error in the browser's console fails the test. */
export const test = base.extend<Fixtures>({
  logs: ['none', { option: true }],
  stories: [{}, { option: true }],
  studio: async ({ logs, stories }, use) => use(await newStudio(logs, stories)),
  // eslint-disable-next-line no-empty-pattern
  expectedErrors: async ({}, use) => use([]),
  context: async ({ context, expectedErrors }, use) => {
    await onThisDay(context)
    const errors: string[] = []
    context.on('console', message => message.type() === 'error' && errors.push(message.text()))
    context.on('weberror', error => errors.push(error.error().message))
    await use(context)
    expect(errors.filter(error => !expectedErrors.some(expected => expected.test(error)))).toEqual(
      [],
    )
  },
})

export { expect }

/** Signs in over the form and waits for the roster; for journeys about signing in. */
export async function signInByForm(
  page: Page,
  { email, password }: Pick<TestStudio, 'email' | 'password'>,
): Promise<void> {
  await page.goto('/sign-in')
  await page.getByLabel('Email').fill(email)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page).toHaveURL(/\/roster$/)
}

/** Signs in by a request; no page is opened yet. */
export async function signedIn(
  page: Page,
  { email, password }: Pick<TestStudio, 'email' | 'password'>,
): Promise<void> {
  const answer = await page.request.post('/api/sign-in', { data: { email, password } })
  expect(answer.status(), await answer.text()).toBeLessThan(300)
}

/** Signs in by a request and opens the roster. */
export async function signIn(
  page: Page,
  who: Pick<TestStudio, 'email' | 'password'>,
): Promise<void> {
  await signedIn(page, who)
  await page.goto('/roster')
}

/** Opens the Split board of a client. */
export async function openSplit(page: Page, studio: TestStudio, name: string): Promise<void> {
  await page.goto(`/clients/${studio.client(name).id}/split`)
  await boardIsLive(page)
}

/** Waits until the board hears keys: before that it is only the server's drawing of it. */
export async function boardIsLive(page: Page): Promise<void> {
  await expect(page.getByRole('grid')).toHaveAttribute('aria-busy', 'false')
}

/** A cell of the board: a muscle on a day. */
export function cell(page: Page, muscle: string, day: string) {
  return page.getByRole('gridcell', { name: new RegExp(`^${muscle}, ${day},`) })
}

/** Figure, direct and indirect sets of a muscle per 7 days, as the board says them. */
export function week(page: Page, muscle: string) {
  return page.getByRole('gridcell', { name: new RegExp(`^${muscle}: `) })
}

/** Waits until the server has every edit. */
export async function saved(page: Page): Promise<void> {
  // "Saved elsewhere meanwhile" is a conflict, and no save.
  await expect(page.getByText(/^Saved($|,)/)).toBeVisible()
}

/** Opens the Session builder of a client on a day, and waits until it hears keys. */
export async function openSession(
  page: Page,
  clientId: string,
  day: number | string,
): Promise<void> {
  await page.goto(`/clients/${clientId}/session/${day}`)
  await sessionIsLive(page)
}

/** Waits until the Session builder hears keys. */
export async function sessionIsLive(page: Page): Promise<void> {
  await expect(
    page
      .locator('[aria-busy=false]')
      .filter({ has: page.getByRole('region', { name: 'Exercises' }) }),
  ).toBeVisible()
}

/** The shorthand of an exercise in the Session builder. */
export function shorthand(page: Page, exercise: string) {
  return page.getByRole('textbox', { name: `Sets of ${exercise} in shorthand` })
}

/** Waits until a page that the server has drawn takes clicks and has what it asked for. */
export async function alive(page: Page): Promise<void> {
  await expect(page.locator('[aria-busy=false]').first()).toBeVisible()
}

/** Opens the box that finds anything. A page hears keys once its code runs, on a busy machine late. */
export async function openFind(page: Page): Promise<void> {
  await expect(async () => {
    await page.keyboard.press('/')
    await expect(page.getByRole('combobox', { name: 'Client, screen or action' })).toBeFocused({
      timeout: 2000,
    })
  }).toPass()
}

/** Something was sent to a client without a link: the code is handed over, and the page goes on. */
export async function handedOver(page: Page): Promise<void> {
  const code = page.getByRole('img', { name: 'QR code of the link' })
  await expect(code).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(code).toBeHidden()
}
