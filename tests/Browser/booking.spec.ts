import { accessible, expect, go, test } from './yard'

test('a test is booked, its un-ionised ammonia opened to its working, and the filter judged', async ({
  yard: page,
}) => {
  await page
    .getByRole('navigation', { name: 'Systems' })
    .getByRole('link', { name: /^Press Room/ })
    .click()
  await page
    .getByRole('navigation', { name: 'Pages of this system' })
    .getByRole('link', { name: 'Test' })
    .click()
  await page.getByLabel('Ammonia', { exact: true }).fill('1,0')
  await page.getByLabel('pH', { exact: true }).fill('8')
  await page.getByLabel('Temperature', { exact: true }).fill('25')

  // 5.38 % at pH 8, 25 °C: Emerson 1975, table 3.
  const unionised = page.getByRole('button', { name: /^Un-ionised ammonia: 0\.0538 mg\/L as N/ })
  await expect(unionised).toBeVisible()
  await unionised.click()
  const slip = page.getByRole('complementary', { name: 'Working' })
  await expect(slip).toContainText('pKa = 0.09018 + 2729.92 / (t + 273.2)')
  await expect(slip).toContainText('typed just now')
  await expect(slip).toContainText('Emerson')

  // An assumption can be replaced there and then: salt lowers the share.
  await slip.getByLabel(/Put in another, g\/L/).fill('5')
  await expect(slip.getByRole('status')).toContainText('0.0525')
  await slip.getByRole('button', { name: 'Close' }).click()

  await page.getByRole('button', { name: 'Book the test' }).click()
  await expect(page.getByText('Booked 3 readings at Press Room.')).toBeVisible()
  await expect(page.locator('.strip[data-parameter="tan_mg_l"]')).toContainText('act')
  await expect(
    page.getByRole('navigation', { name: 'Systems' }).getByRole('link', { name: /^Press Room/ }),
  ).toContainText('act')

  await go(page, 'Filter', 'Capacity')
  await expect(
    page.getByText(/Filter capacity today .* g N\/day .* load .* Surface area is the limit/),
  ).toBeVisible()
  await page.getByRole('textbox', { name: /^Feed/ }).fill('2000')
  await expect(page.getByText(/g N too little/)).toBeVisible()
  await page.getByRole('button', { name: /^(Surface|By surface area): .* Show the working/ }).click()
  await expect(slip).toContainText('Σ surface limits')

  await page.getByRole('contentinfo').getByRole('button', { name: 'Undo' }).click()
  await go(page, 'Now', 'System')
  await expect(page.locator('.strip[data-parameter="tan_mg_l"]')).toContainText('good')
})

test('bad input is told at its field and nothing typed is lost', async ({ yard: page }) => {
  await page.goto('/arrivals/test')
  await page.getByRole('button', { name: 'Book the test' }).click()
  await expect(page.getByText('Type at least one reading.')).toBeVisible()

  await page.getByLabel('pH', { exact: true }).fill('78')
  await page.getByLabel('Nitrite', { exact: true }).fill('abc')
  await page.getByLabel('KH', { exact: true }).fill('7,5')
  await expect(page.getByText('pH cannot be 78: it lies between 4 and 11.')).toBeVisible()
  await expect(page.getByText('“abc” is not a number.')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('pH', { exact: true })).toHaveValue('78')
  await expect(page.getByLabel('KH', { exact: true })).toHaveValue('7,5')

  await page.getByLabel('pH', { exact: true }).fill('7.8')
  await page.getByLabel('Nitrite', { exact: true }).fill('')
  await page.getByLabel(/^Taken at/).fill('2099-01-01T07:10')
  await page.getByRole('button', { name: 'Book the test' }).click()
  await expect(page.getByText('This time is in the future')).toBeVisible()
  await expect(page.getByLabel('KH', { exact: true })).toHaveValue('7,5')
})

test('a booking whose answer was lost is booked once when sent again', async ({ yard: page }) => {
  await page.goto('/hospital-tub/test')
  await page.getByLabel('pH', { exact: true }).fill('7.6')
  let lost = 0
  await page.route('**/api/systems/hospital-tub/visits', async (route) => {
    if (lost++ > 0) return route.continue()
    await route.fetch()
    await route.abort()
  })
  await page.getByRole('button', { name: 'Book the test' }).click()
  await expect(page.getByText(/Nothing was lost/)).toBeVisible()
  const before = await page.request.get('/api/systems/hospital-tub/visits').then((answer) => answer.json())
  await page.getByRole('button', { name: 'Book the test' }).click()
  await expect(page.getByText('Booked 1 reading at Hospital tub.')).toBeVisible()
  const after = await page.request.get('/api/systems/hospital-tub/visits').then((answer) => answer.json())
  expect(after.visits.length).toBe(before.visits.length)
})

test('a line in the log bar is understood as typed, its mistakes pointed at, and kept', async ({
  yard: page,
}) => {
  await page.goto('/yard-pond')
  await expect(page.getByRole('heading', { name: 'Yard Pond' })).toBeVisible()
  await page.keyboard.press('.')
  await page.keyboard.type('am .5 phh 8')
  await expect(page.locator('mark')).toHaveText('phh')
  await page.getByRole('textbox', { name: /^Readings/ }).fill('am .1 ph 8.1 t 64,4f')
  await expect(page.getByRole('search')).toContainText('18')
  await page
    .getByRole('search')
    .getByRole('button', { name: /^Un-ionised ammonia/ })
    .click()
  await expect(page.getByRole('complementary', { name: 'Working' })).toContainText('Emerson')
  await page.getByRole('textbox', { name: /^Readings/ }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Booked 3 readings at Yard Pond.')).toBeVisible()
  await expect(page.locator('.strip[data-parameter="temp_c"]')).toContainText('18')
})

test('a vessel is drawn up with its volume as typed, and a width of nothing is refused', async ({
  yard: page,
}) => {
  await page.goto('/new')
  await page.getByRole('button', { name: 'Add the system' }).click()
  await expect(page.getByText('Give the system a name.')).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Goods Shed')
  await page.getByLabel('Purpose').selectOption('holding')
  await page.getByLabel('Life stage').selectOption('adult')
  await page.getByRole('button', { name: 'Add the system' }).click()
  await expect(page.getByRole('heading', { name: 'Goods Shed' })).toBeVisible()

  await page.getByRole('button', { name: 'Add a vessel' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Corner bay')
  await page.getByLabel('Shape').selectOption('wedge')
  await page.getByLabel(/^Length/).fill('2,5')
  await page.getByLabel(/^Width at one end/).fill('0')
  await page.getByLabel(/^Width at the other end/).fill('1.5')
  await page.getByLabel(/^Depth to the rim/).fill('1')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Width at one end is 0 m; it must be 0.01 to 100 m.')).toBeVisible()
  await expect(page.getByLabel(/^Length/)).toHaveValue('2,5')
  await page.getByLabel(/^Width at one end/).fill('0,5')
  await expect(page.getByRole('button', { name: /^This vessel: 2,500 L/ })).toBeVisible()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('button', { name: /^Corner bay: 2,500 L/ })).toBeVisible()
})

test('the sign-in page can be used by everyone and says what does not fit', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText('Type your e-mail address.')).toBeVisible()
  await accessible(page)
})
