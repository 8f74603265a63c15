import { expect, signIn, test } from '../support/test'

test('the floor says who waits for what once the stations are named, and says so when a line is not read', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  await page.goto('/floor')
  const stations = page.getByLabel('Stations of the studio')
  const save = page.getByRole('button', { name: 'Save the stations' })
  await expect(page.getByText(/ends about \d\d:\d\d/).first()).toBeVisible()
  // What is not named is plenty.
  await expect(page.getByText(/of waiting/)).toHaveCount(0)
  await stations.fill('sauna 1')
  await expect(page.getByText(/“sauna 1” is not known\. Type cable tower/)).toBeVisible()
  await save.click()
  await stations.fill('rack 0, racks 1')
  await expect(page.getByText(/“racks 1” is there twice/)).toBeVisible()
  await stations.fill('cable 1, bench 1, rack 1, preacher 1, dip bars 1, pull-up bar 1')
  await save.click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.reload()
  await expect(stations).toHaveValue(
    'cable tower 1, preacher bench 1, bench 1, rack 1, dip bars 1, pull-up bar 1',
  )
})
