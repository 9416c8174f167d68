import { expect, test } from './yard'

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

test('somebody signed out elsewhere is asked to sign in, and what was typed is there again', async ({ yard: page, context }) => {
  await page.goto('/cold-store/test')
  await page.getByLabel('Nitrite', { exact: true }).fill('9.5')
  await page.waitForTimeout(400)
  await context.clearCookies()
  await page.reload()
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
  await expect(page.getByText('You may look at everything here, but not write.')).toBeVisible()
})

test('keys find the way: a system by name, its pages, the list of keys', async ({ yard: page }) => {
  await page.keyboard.press('/')
  await page.keyboard.type('yard')
  await expect(page.getByRole('navigation', { name: 'Systems' }).getByRole('link')).toHaveCount(1)
  await page.keyboard.press('Escape')
  await page.getByRole('navigation', { name: 'Systems' }).getByRole('link', { name: /^Yard Pond/ }).click()
  await expect(page.getByRole('heading', { name: 'Yard Pond' })).toBeVisible()
  await page.keyboard.press('g')
  await page.keyboard.press('c')
  await expect(page).toHaveURL(/yard-pond\/capacity/)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
})
