import { expect, test } from './yard'

test('whoever chooses gallons and °F reads and types in them, and the book keeps the same water', async ({
  page,
}) => {
  // Somebody else than in the other specs, who read on in litres.
  await page.goto('/')
  await page.getByRole('button', { name: /Tobias/ }).click()
  await expect(page.getByRole('navigation', { name: 'Systems' })).toContainText('Press Room')
  await page.goto('/cold-store/water')
  await page.getByLabel(/^Amount/).fill('100 gal')
  await expect(page.getByRole('columnheader', { name: /^after 379 L/ })).toBeVisible()
  await page.getByLabel(/^Amount/).fill('')

  await page.getByRole('link', { name: 'Tobias' }).click()
  await page.getByLabel('Volume and flow').selectOption('us_gal')
  await page.getByLabel('Temperature').selectOption('f')
  await page.getByLabel('Weight').selectOption('oz')
  await page.getByRole('button', { name: 'Read in these units' }).click()
  await expect(page.getByText('Numbers are in these units now.')).toBeVisible()

  await page.goto('/cold-store')
  await expect(page.getByRole('button', { name: /^(Water|Volume)[^:]*: [\d,]+ US gal/ })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Latest readings' })).toContainText('°F')

  // Typed bare, a number is in the unit that stands beside the field.
  await page.goto('/cold-store/water')
  await expect(page.getByText('Amount US gal')).toBeVisible()
  await page.getByLabel(/^Amount/).fill('100')
  await expect(page.getByRole('columnheader', { name: /^after 100 US gal/ })).toBeVisible()
  await page.getByLabel('Kind of change').selectOption({ index: 0 })
  await page.getByRole('button', { name: 'Book the change' }).click()
  const booked = page.getByRole('region', { name: 'Changes in the book' })
  await expect(booked).toContainText('100 US gal changed')
  await page.getByLabel(/^Readings, as/).fill('t 61')
  await expect(page.getByText(/61 °F/).first()).toBeVisible()
  await page.getByLabel(/^Readings, as/).fill('')

  await page.goto('/you')
  await page.getByLabel('Volume and flow').selectOption('l')
  await page.getByLabel('Temperature').selectOption('c')
  await page.getByLabel('Weight').selectOption('g')
  await page.getByRole('button', { name: 'Read in these units' }).click()
  await expect(page.getByText('Numbers are in these units now.')).toBeVisible()
  await page.goto('/cold-store/water')
  await expect(booked).toContainText('379 L changed')
})

test('a password that is wrong or too short is met at its field', async ({ yard: page }) => {
  await page.goto('/you')
  const password = page.getByRole('region', { name: 'Password' })
  await password.getByLabel('Password now').fill('not this one')
  await password.getByLabel(/^New password/).fill('short')
  await password.getByRole('button', { name: 'Change the password' }).click()
  await expect(password.getByText('The password needs 10 characters or more.')).toBeVisible()
  await password.getByLabel(/^New password/).fill('a longer password')
  await password.getByRole('button', { name: 'Change the password' }).click()
  await expect(password.getByText('This is not the password you have now.')).toBeVisible()
  await expect(password.getByLabel(/^New password/)).toHaveValue('a longer password')
})
