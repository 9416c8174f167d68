import { accessible, expect, go, test } from './yard'

test('a three-bay gravity loop is built from a template, and a narrower drain drops more', async ({
  yard: page,
}) => {
  await page.goto('/new')
  await page.getByLabel('Name', { exact: true }).fill('Hop Kiln')
  await page.getByLabel('Purpose').selectOption('holding')
  await page.getByLabel('Life stage').selectOption('adult')
  await page.getByLabel('Start from').selectOption('gravity_loop')
  await page.getByLabel('Filter', { exact: true }).selectOption('today')
  await page.getByRole('button', { name: 'Add the system' }).click()
  await expect(page.getByRole('heading', { name: 'Hop Kiln' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Vessels' }).getByText('Bay 3')).toBeVisible()

  await page.getByRole('link', { name: 'Plumbing' }).click()
  const drop = page.locator('tr[data-line="Drain 1"] .drop')
  await expect(drop).not.toBeEmpty()
  const wide = Number(await drop.innerText())
  await expect(
    page.getByRole('region', { name: 'The loop, drawn' }).getByText('Moving bed', { exact: true }),
  ).toBeVisible()
  await drop.getByRole('button').click()
  await expect(page.getByRole('complementary', { name: 'Working' })).toContainText('h = (f L/D + ΣK) v²/2g')
  await accessible(page)

  await page.getByRole('link', { name: 'Build' }).click()
  await page.getByRole('button', { name: 'Change Drain 1' }).click()
  await page.getByLabel(/^Bore/).fill('40')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Bay 1 → Vortex, 40 mm')).toBeVisible()
  await page.getByRole('link', { name: 'Plumbing' }).click()
  await expect.poll(async () => Number(await drop.innerText())).toBeGreaterThan(1.2 * wide)

  await page.getByRole('link', { name: 'Build' }).click()
  await page.getByRole('button', { name: 'Change Vortex', exact: true }).click()
  await page.getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByText(/Lines still lead here: Drain 1/)).toBeVisible()
})

test('two people change one line: the second is told, keeps what was typed, and may insist', async ({
  yard: page,
  context,
}) => {
  await page.goto('/arrivals/build')
  const other = await context.newPage()
  await other.goto('/arrivals/build')
  for (const [who, length] of [
    [page, '2.9'],
    [other, '3,3'],
  ] as const) {
    await who.getByRole('button', { name: 'Change Drain east' }).click()
    await who.getByLabel(/^Length/).fill(length)
  }
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Tub east → Compact sieve, 75.8 mm, 2.9 m')).toBeVisible()
  await other.getByRole('button', { name: 'Save' }).click()
  await expect(other.getByText(/Somebody changed this after you opened it/)).toBeVisible()
  await expect(other.getByLabel(/^Length/)).toHaveValue('3,3')
  await other.waitForLoadState('networkidle')
  await other.getByRole('button', { name: 'Save' }).click()
  await expect(other.getByText('Tub east → Compact sieve, 75.8 mm, 3.3 m')).toBeVisible()
})

test('volume by meter stands beside geometry, a gallon mix-up is named, and the choice is kept', async ({
  yard: page,
}) => {
  await page.goto('/cold-store/build')
  const ways = page.getByRole('region', { name: 'Volume, four ways' })
  await ways.getByRole('button', { name: 'Measure by the water meter' }).click()
  await page.getByLabel(/^Meter before/).fill('0')
  await page.getByLabel(/^Meter after/).fill('1070')
  await page.getByRole('button', { name: 'Keep this measurement' }).click()
  await expect(ways).toContainText('US gallons were taken for litres')
  await ways.getByRole('button', { name: 'Measure by salt' }).click()
  await page.getByLabel(/^Salt added/).fill('4000')
  await page.getByLabel(/^Salinity before/).fill('0,1')
  await page.getByLabel(/^Salinity after/).fill('0,11')
  await page.getByRole('button', { name: 'Keep this measurement' }).click()
  await expect(ways).toContainText('within the error of the two readings')
  await page.getByLabel(/^Salinity after/).fill('1,1')
  await page.getByRole('button', { name: 'Keep this measurement' }).click()
  await ways.locator('li', { hasText: 'Salt' }).getByRole('button', { name: 'Go by this' }).click()
  await go(page, 'Now', 'System')
  await expect(page.getByRole('button', { name: /^Volume by salt: 4,000 L/ })).toBeVisible()
})

test('a bay is shut off, its clock runs on every page, and it opens again; a what-if changes nothing', async ({
  yard: page,
}) => {
  await page.goto('/press-room/plumbing')
  const vessels = page.getByRole('region', { name: 'Vessels', exact: true })
  await vessels.getByRole('button', { name: 'Shut off Bay 3' }).click()
  await expect(vessels.getByText('Doses and changes now apply to each separately')).toContainText(
    'Bay 3 2,995 L',
  )
  await expect(page.locator('tr[data-line="Drain 3"]')).toContainText('shut')
  await page.goto('/nursery')
  const timers = page.getByRole('list', { name: 'Open timers' })
  await expect(timers).toContainText('Bay 3 of Press Room shut off')
  await timers.getByRole('link', { name: /shut off/ }).click()
  await accessible(page)
  await vessels.getByRole('button', { name: 'Open it' }).click()
  await expect(timers.getByText('shut off')).toHaveCount(0)

  const drop = page.locator('tr[data-line="Drain 3"] .drop')
  await expect(drop).not.toBeEmpty()
  const before = await drop.innerText()
  const whatIf = page.getByRole('region', { name: 'What if' })
  await whatIf.getByLabel('This line').selectOption({ label: 'Drain 3' })
  await whatIf.getByLabel(/^Bore/).fill('abc')
  await expect(whatIf.getByText(/is not a number/)).toBeVisible()
  await whatIf.getByLabel(/^Bore/).fill('60')
  await expect(whatIf.getByRole('row', { name: /Moving bed: level/ })).toBeVisible()
  await page.reload()
  await expect(drop).toHaveText(before)
  await page
    .locator('tr[data-line="Drain 3"]')
    .getByRole('button', { name: /^Flow along Drain 3/ })
    .click()
  await expect(page.getByRole('complementary', { name: 'Working' })).toContainText(
    'what comes to a point leaves it',
  )
})

test('a stage is retired once no line leads there, and brought back', async ({ yard: page }) => {
  await page.goto('/hospital-tub/build')
  await page.getByRole('button', { name: 'Change Riser' }).click()
  await page.getByRole('button', { name: 'Remove' }).click()
  await page.getByRole('button', { name: 'Change Airlift' }).click()
  await page.getByRole('button', { name: 'Retire' }).click()
  await expect(page.getByRole('region', { name: 'Retired' })).toContainText('Airlift')
  await page.getByRole('button', { name: 'Bring Airlift back' }).click()
  await expect(page.getByRole('button', { name: 'Change Airlift' })).toBeVisible()
})
