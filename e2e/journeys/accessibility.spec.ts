import { AxeBuilder } from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { boardIsLive, cell, expect, openSplit, signIn, test, sessionIsLive } from '../support/test'

/** Serious and critical findings of the page as it stands. The themes differ in colours alone, so the second one is asked about those only. */
async function violations(page: Page): Promise<readonly string[]> {
  const isDark = await page.evaluate(() => matchMedia('(prefers-color-scheme: dark)').matches)
  const all = new AxeBuilder({ page })
  const { violations: found } = await (
    isDark ? all.withRules(['color-contrast', 'link-in-text-block']) : all
  ).analyze()
  return found
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .map(node => node.target.join(' '))
          .slice(0, 3)
          .join(', ')}`,
    )
}

test.use({ logs: 'logged' })

for (const theme of ['light', 'dark'] as const) {
  test(`no page has serious findings in the ${theme} theme`, async ({
    page,
    studio,
    expectedErrors,
  }) => {
    // Every page and dialog is looked at once.
    test.setTimeout(600_000)
    expectedErrors.push(/404/)
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' })
    await page.goto('/sign-in')
    expect(await violations(page), 'sign-in').toEqual([])
    await signIn(page, studio)
    await page.getByRole('button', { name: /^Reasons and answers for Teo/ }).click()
    expect(await violations(page), 'roster').toEqual([])
    for (const path of ['/exercises', '/methods', '/archive', '/compare', '/outbox']) {
      await page.goto(path)
      expect(await violations(page), path).toEqual([])
    }
    await page.goto('/exercises')
    await page.getByRole('button', { name: 'Copy as my own' }).click()
    expect(await violations(page), 'own exercise').toEqual([])
    for (const part of [
      '',
      '/targets',
      '/history',
      '/review',
      '/trends',
      '/rehearsal',
      '/report',
    ]) {
      await page.goto(`/clients/${studio.client('Teo').id}${part}`)
      expect(await violations(page), `client${part}`).toEqual([])
    }
    await page.goto('/roster')
    await openSplit(page, 'Joren')
    await cell(page, 'Triceps', 'day 1 Push').click()
    await page.keyboard.press('h')
    expect(await violations(page), 'split board with heads').toEqual([])
    await page.keyboard.press('Shift+ArrowRight')
    expect(await violations(page), 'carrying').toEqual([])
    await page.keyboard.press('Escape')
    await page.keyboard.press('e')
    await expect(page.getByRole('heading', { name: 'Add an exercise' })).toBeVisible()
    expect(await violations(page), 'adding an exercise').toEqual([])
    await page.keyboard.press('Escape')
    for (const [key, heading] of [
      ['x', 'Checks'],
      ['y', 'where the figure'],
      ['o', 'Rotation'],
      ['c', 'Calendar weeks'],
      ['b', 'History of this plan'],
    ] as const) {
      await page.keyboard.press(key)
      await expect(page.getByRole('heading', { name: new RegExp(heading) })).toBeVisible()
      expect(await violations(page), heading).toEqual([])
      await page.keyboard.press('Escape')
      await expect(page.getByRole('heading', { name: new RegExp(heading) })).toHaveCount(0)
    }
    await page.keyboard.press('t')
    expect(await violations(page), 'plain table').toEqual([])
    await page.goto(`/clients/${studio.client('Marit').id}/session/4`)
    await sessionIsLive(page)
    await page.getByRole('button', { name: 'Settings of Cable curl, bar' }).click()
    expect(await violations(page), 'session').toEqual([])
    for (const [key, title] of [
      ['l', 'Only so many minutes'],
      ['v', /^Swap/],
      ['b', 'Session templates'],
      ['x', 'The session as text'],
    ] as const) {
      await page.keyboard.press(key)
      await expect(page.getByRole('heading', { name: title })).toBeVisible()
      expect(await violations(page), String(title)).toEqual([])
      await page.keyboard.press('Escape')
      await expect(page.getByRole('heading', { name: title })).toBeHidden()
    }
    for (const [view, there] of [
      ['rotations', 'grid'],
      ['terms', 'table'],
      ['loads', 'table'],
      ['charts', 'img'],
      ['calendar', 'table'],
    ] as const) {
      await page.goto(`/clients/${studio.client('Marit').id}/block?view=${view}`)
      await expect(page.getByRole(there).first()).toBeVisible()
      expect(await violations(page), `block, ${view}`).toEqual([])
    }
    await page.getByRole('button', { name: 'Begin the next block' }).click()
    await expect(page.getByRole('heading', { name: 'Begin the next block' })).toBeVisible()
    expect(await violations(page), 'next block').toEqual([])
    await page.goto(`/clients/${studio.client('Marit').id}/log`)
    await expect(page.getByRole('textbox').first()).toBeVisible()
    expect(await violations(page), 'log').toEqual([])
    for (const [key, heading] of [
      ['k', /^Sheet of/],
      ['i', 'Import a log'],
    ] as const) {
      await page.keyboard.press(key)
      await expect(page.getByRole('heading', { name: heading })).toBeVisible()
      expect(await violations(page), String(heading)).toEqual([])
      await page.keyboard.press('Escape')
      await expect(page.getByRole('heading', { name: heading })).toHaveCount(0)
    }
    const { token } = (await (
      await page.request.post(`/api/clients/${studio.client('Marit').id}/link`, {
        data: { pin: null, days: null },
      })
    ).json()) as { token: string }
    await page.goto(`/sheet/${token}`)
    await expect(page.getByRole('button', { name: 'Sore?' })).toBeVisible()
    expect(await violations(page), 'sheet').toEqual([])
    await page
      .getByRole('button', { name: /^(Begin|Arms)/ })
      .first()
      .click()
    await page.getByRole('button', { name: /^Log / }).click()
    expect(await violations(page), 'training').toEqual([])
    for (const [button, title] of [
      ['Sore?', 'What hurts?'],
      ['Less time, more', 'This session'],
      ['Swap', /^Instead of/],
    ] as const) {
      await page.getByRole('button', { name: button, exact: true }).click()
      await expect(page.getByRole('dialog', { name: title })).toBeVisible()
      expect(await violations(page), String(title)).toEqual([])
      await page.getByRole('dialog', { name: title }).getByRole('button', { name: 'Close' }).click()
    }
    await page.goto(`/clients/${studio.client('Emil').id}/proposals`)
    await expect(page.getByRole('region', { name: /^C, Shortest/ })).toBeVisible({
      timeout: 60_000,
    })
    expect(await violations(page), 'proposals').toEqual([])
    await page.goto(`/clients/${studio.client('Marit').id}/print?day=4`)
    expect(await violations(page), 'print').toEqual([])
    await page.goto('/clients/nobody/split')
    expect(await violations(page), 'not found').toEqual([])
  })
}

test('the chosen theme is there from the first drawing on', async ({ page, studio }) => {
  await signIn(page, studio)
  await page.getByRole('button', { name: /Theme: system/ }).click()
  await page.getByRole('button', { name: /Theme: light/ }).click()
  await page.goto(`/clients/${studio.client('Emil').id}/split`)
  await boardIsLive(page)
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
})
