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
