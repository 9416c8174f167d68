import { accessible, expect, newOwner, test } from './yard'

test('an empty book leads from source water to the first verdict in three minutes and 40 entries', async ({
  page,
}) => {
  const email = `rowan-${Date.now()}@osier.example`
  newOwner(`Osier Bank ${Date.now()}`, email)
  await page.goto('/')
  await page.getByLabel('E-mail').fill(email)
  await page.getByLabel('Password').fill('withy-bed-77')
  await page.getByRole('button', { name: 'Sign in' }).click()
  const begun = Date.now()
  let entries = 0
  const press = async (name: string) => {
    entries++
    await page.getByRole('main').getByRole('button', { name, exact: true }).click()
  }
  const type = async (label: string | RegExp, text: string) => {
    entries++
    await page.getByRole('main').getByLabel(label).fill(text)
  }
  const choose = async (label: string, option: string) => {
    entries++
    await page.getByRole('main').getByLabel(label, { exact: true }).selectOption(option)
  }
  entries++
  await page.getByRole('link', { name: 'Set up your first system' }).click()
  await expect(page.getByText('Which units do you read in?')).toBeVisible()
  await press('Go on in these units')
  await expect(page.getByText('Where does your water come from?')).toBeVisible()
  await accessible(page)
  await type(/^Nitrate/, 'lots')
  await press('Save the source water')
  await expect(page.getByText('“lots” is not a number.')).toBeVisible()
  await type(/^Nitrate/, '30')
  await type(/^KH/, '9')
  await press('Save the source water')

  await choose('Build', 'gravity_loop')
  await press('Add the system')
  await expect(page.getByText('Give the system a name.')).toBeVisible()
  await type('Name of the system', 'Osier vat')
  await choose('Filter started', 'unknown')
  await press('Add the system')

  await type(/^Number of fish/, '12')
  await type(/^Mean length/, '40')
  await press('Save fish and feed')

  await type(/^Ammonia/, '0.6')
  await type(/^Nitrite/, '0')
  await type(/^pH/, '7.9')
  await type(/^Temperature/, '19')
  await press('Book the test')

  const verdict = page.getByRole('region', { name: 'Verdict' })
  await expect(verdict).toContainText('Ammonia 0.6 mg/L as N, over 0.5')
  await expect(verdict).toContainText(/Filter capacity today|capacity/)
  await expect(verdict).toContainText(/Change [\d,]+ L \(\d+ %\)/)
  await accessible(page)
  expect(entries).toBeLessThanOrEqual(40)
  expect(Date.now() - begun).toBeLessThan(180_000)

  // What was entered stands on the pages, and the round now has its system.
  await page.getByRole('link', { name: 'Round', exact: true }).first().click()
  await expect(page.getByRole('listitem').filter({ hasText: 'Osier vat' }).first()).toContainText('act')
  await page.goto('/osier-vat/water')
  await expect(page.getByLabel('Source water', { exact: true })).toContainText('Tap')
})
