import { accessible, expect, test } from './yard'

test('the round is walked: readings are booked where one stands, and what is well is ticked', async ({
  yard: page,
}) => {
  const arrivals = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: 'Arrivals', exact: true }) })
    .last()
  await expect(arrivals).toContainText('Praziquantel: Dose 2 of 3 is')
  await expect(arrivals).toContainText('Look again: flashing')
  await accessible(page)
  await page.getByLabel('Readings of Nursery').fill('am lots')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByLabel('Readings of Nursery').fill('am .05 ph 7.6')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Booked 2 readings at Nursery/)).toBeVisible()
  await page.getByRole('button', { name: 'All well at Yard Pond' }).click()
  await expect(
    page
      .getByRole('listitem')
      .filter({ has: page.getByRole('link', { name: 'Yard Pond', exact: true }) })
      .last(),
  ).toContainText('Looked at just now')
  await page.setViewportSize({ width: 390, height: 844 })
  await accessible(page)
})

test('systems stand in the order in which one walks, and keep it', async ({ yard: page }) => {
  const walk = page.getByRole('region', { name: 'Walking order' })
  await walk.getByRole('button', { name: 'Walking order' }).click()
  const names = () => walk.getByRole('listitem').locator('span').allInnerTexts()
  await expect(walk.getByRole('button', { name: 'Nursery earlier' })).toBeVisible()
  const before = await names()
  const at = before.indexOf('Nursery')
  await walk.getByRole('button', { name: 'Nursery earlier' }).click()
  await expect(walk.getByRole('listitem').nth(at - 1)).toContainText('Nursery')
  await accessible(page)
  await page.reload()
  await walk.getByRole('button', { name: 'Walking order' }).click()
  await expect(walk.getByRole('listitem').nth(at - 1)).toContainText('Nursery')
  await walk.getByRole('button', { name: 'Nursery later' }).click()
  await expect(walk.getByRole('listitem').nth(at)).toContainText('Nursery')
  expect(await names()).toEqual(before)
})
