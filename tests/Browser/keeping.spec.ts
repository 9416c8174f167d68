import { accessible, expect, go, test } from './yard'

test('the same visit sent twice at the same moment is booked once', async ({ yard: page }) => {
  const statuses = await page.evaluate(async () => {
    const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]*)/)?.[1] ?? '')
    const book = () =>
      fetch('/api/systems/nursery/visits', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
        body: JSON.stringify({ id: '01JZZZZZZZ0000000000000000', readings: { ph: { typed: '7.9' } } }),
      }).then((answer) => answer.status)
    return Promise.all([book(), book(), book(), book()])
  })
  expect(statuses.sort()).toEqual([200, 200, 200, 201])
})

test('a page whose token has gone stale books all the same', async ({ yard: page, context }) => {
  await page.goto('/nursery/test')
  await page.getByLabel('pH', { exact: true }).fill('7.8')
  await expect(page.getByLabel('pH', { exact: true })).toHaveValue('7.8')
  await context.clearCookies({ name: 'XSRF-TOKEN' })
  await page.getByRole('button', { name: 'Book the test' }).click()
  await expect(page.getByText('Booked 1 reading at Nursery.')).toBeVisible()
})

test('somebody signed out elsewhere is asked to sign in, and what was typed is there again', async ({
  yard: page,
  context,
}) => {
  await page.goto('/cold-store/test')
  await page.getByLabel('Nitrite', { exact: true }).fill('9.5')
  await page.waitForTimeout(400)
  // Away from the page first: an answer still on its way would bring the cookie back.
  await page.goto('about:blank')
  await context.clearCookies()
  await page.goto('/cold-store/test')
  await page.getByRole('button', { name: /Tobias, helper/ }).click()
  await expect(page.getByLabel('Nitrite', { exact: true })).toHaveValue('9.5')
})

test('the visiting vet sees everything and finds nothing to write with', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: /Ines, visiting vet/ }).click()
  await expect(page.getByText('Ines, reads only')).toBeVisible()
  await expect(page.getByRole('textbox', { name: /^Readings/ })).toBeDisabled()
  await page.goto('/press-room/build')
  await expect(page.getByText('Bay 1', { exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Change/ })).toHaveCount(0)
  await page.goto('/press-room/test')
  await page.getByLabel('pH', { exact: true }).fill('7.6')
  await page.getByRole('button', { name: 'Book the test' }).click()
  await expect(page.getByText('You can read everything here, but not book anything.')).toBeVisible()
})

test('keys find the way: a system by name, its pages, the list of keys', async ({ yard: page }) => {
  await page.keyboard.press('/')
  await page.keyboard.type('yard')
  await expect(page.getByRole('navigation', { name: 'Systems' }).getByRole('link')).toHaveCount(1)
  await page.keyboard.press('Escape')
  await page
    .getByRole('navigation', { name: 'Systems' })
    .getByRole('link', { name: /^Yard Pond/ })
    .click()
  await expect(page.getByRole('heading', { name: 'Yard Pond' })).toBeVisible()
  await page.keyboard.press('g')
  await page.keyboard.press('c')
  await expect(page).toHaveURL(/yard-pond\/capacity/)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
})

test('how many more koi before July, and what runs out first, is read off in a few presses and kept', async ({
  yard: page,
}) => {
  await page.goto('/press-room')
  await go(page, 'Filter', 'Capacity')
  await page.getByRole('textbox', { name: /^Temperature/ }).fill('24')
  const room = page.getByRole('region', { name: 'Room left' })
  await expect(room).toContainText(/Room for \d+ koi of 50 cm more .*first/)
  await room.getByRole('button', { name: /^More feed now/ }).click()
  await expect(page.getByRole('complementary', { name: 'Working' })).toContainText(
    'load = uptake(C, DO) + Q (C − Cs)',
  )
  await page.getByRole('button', { name: 'Close', exact: true }).click()

  await page.getByRole('textbox', { name: /^More fish/ }).fill('60')
  await expect(room).toContainText('too many')
  await page.getByLabel('Name for this what-if').fill('Sixty in July')
  await page.getByRole('button', { name: 'Save' }).click()
  const beside = page.getByRole('region', { name: 'What-ifs compared' })
  await expect(beside.getByRole('button', { name: 'Sixty in July', exact: true })).toBeVisible()
  await page.getByRole('textbox', { name: /^More fish/ }).fill('many')
  await expect(page.getByText(/“many” is not a number|many/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Back to today’s water' }).click()
  await beside.getByRole('button', { name: 'Sixty in July', exact: true }).click()
  await expect(page.getByRole('textbox', { name: /^More fish/ })).toHaveValue('60')
  await accessible(page)
})

test('fish are added by weight, move to another system, and are fed', async ({ yard: page }) => {
  await page.goto('/arrivals/fish')
  await page.getByRole('button', { name: 'Add fish' }).click()
  await page.getByLabel('Name of the group, or of the fish').fill('Tansy')
  await page.getByLabel('Count').fill('1')
  await page.getByLabel(/^or weight of one/).fill('64000')
  await page.getByLabel(/^Length, nose to tail tip/).fill('40')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText(/So heavy a fish of this length cannot be/)).toBeVisible()
  await page.getByLabel(/^or weight of one/).fill('1024')
  await page.getByLabel('How they came').selectOption('today')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('1 of 40 cm')).toBeVisible()
  await page.getByRole('button', { name: 'Measure, move or take out Tansy' }).click()
  await page.getByLabel('What happened', { exact: true }).first().selectOption('moved')
  await page.getByLabel('How many').fill('1')
  await page.getByLabel('To', { exact: true }).selectOption('hospital-tub')
  await page.getByLabel('Why').fill('a sore')
  await page.getByRole('button', { name: 'Book it' }).first().click()
  await expect(page.getByRole('region', { name: 'Arrivals, moves and losses' })).toContainText(
    '1 Tansy moved to Hospital tub: a sore',
  )
  await page.goto('/hospital-tub/fish')
  await expect(page.getByRole('region', { name: 'Who lives here' })).toContainText('Tansy')
  await accessible(page)
})

test('of two people who edit one vessel the second sees what the first saved, field by field', async ({
  yard: page,
  context,
}) => {
  const other = await context.newPage()
  const length = (of: typeof page) => of.getByRole('textbox', { name: /^Length/ })
  for (const one of [page, other]) {
    await one.goto('/press-room/build')
    await one.getByRole('button', { name: 'Change' }).first().click()
  }
  const was = await length(page).inputValue()
  await length(page).fill(String(Number(was) + 0.1))
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(length(page)).toHaveCount(0)

  await length(other).fill(String(Number(was) + 0.2))
  await other.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(other.getByText('Somebody changed this after you opened it')).toBeVisible()
  await expect(other.getByText(/^theirs:/)).toHaveText([`theirs: ${Number(was) + 0.1}`])
  await expect(length(other)).toHaveValue(String(Number(was) + 0.2))

  // Told once, saving again is a decision, and goes over what the first saved.
  await length(other).fill(was)
  await other.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(length(other)).toHaveCount(0)
  await expect(other.getByText('10,586').first()).toBeVisible()
})
