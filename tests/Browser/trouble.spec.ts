import { accessible, expect, test } from './yard'

test('a bad reading is answered in order, and what is seen is added to it', async ({ yard: page }) => {
  await page.goto('/arrivals')
  await page.getByLabel('Readings, as am .5 ni .1 ph 7.8 t 18.5').fill('am .6 ph 7.9 t 21 do 7.5')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Booked 4 readings at Arrivals.')).toBeVisible()
  await page.getByRole('link', { name: 'What to do' }).click()
  const ammonia = page.getByRole('region', { name: 'Ammonia' })
  await expect(ammonia).toContainText(/Change [\d,]+ L \(\d+ %\)/)
  await expect(ammonia).toContainText('Do not use zeolite while praziquantel is in the water')
  await page.getByLabel('gasping at the surface').check()
  await page.getByLabel('the pump stands, or stood').check()
  await expect(page).toHaveURL(/seen=gasping,pump_stopped/)
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Give all the air you have' }).first(),
  ).toContainText('1')
  await expect(page.getByRole('region', { name: 'A filter that stood still' })).toContainText(
    'drain its water to waste',
  )
  await accessible(page)
  await ammonia
    .getByRole('button', { name: /^Worked out/ })
    .first()
    .click()
  await expect(page.getByRole('complementary')).toContainText('label')
  await page.setViewportSize({ width: 390, height: 844 })
  await accessible(page)
})

test('in good water it waits to be told what is seen', async ({ yard: page }) => {
  await page.goto('/yard-pond')
  // A reading that may stand on its line is watched, and is good water all the same.
  await page.getByRole('link', { name: /^(Something still looks wrong|What to do)$/ }).click()
  await expect(page.getByText(/No reading asks for action/)).toBeVisible()
  await page.getByLabel('green water').check()
  await expect(page.getByRole('region', { name: 'Green water' })).toContainText('a matter of taste')
})
