import type { Page } from '@playwright/test'
import { expect, test } from './yard'

test.use({ serviceWorkers: 'allow' })

/** Whether the device keeps the answer to an address. */
const keeps = (page: Page, path: string) =>
  page.evaluate(
    (address) =>
      new Promise<boolean>((resolve) => {
        const asked = indexedDB.open('ironwort')
        asked.onsuccess = () => {
          const got = asked.result.transaction('answers').objectStore('answers').get(address)
          got.onsuccess = () => {
            asked.result.close()
            resolve(got.result !== undefined)
          }
        }
      }),
    path,
  )

test('without signal the round, cards and the log bar go on, and what was written is booked once and in order', async ({
  yard: page,
  context,
}) => {
  const signal = page.getByRole('status', { name: 'Signal' })
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await expect.poll(() => keeps(page, '/api/systems/hospital-tub/service'), { timeout: 60_000 }).toBe(true)
  const visits = async () => {
    const got = (await (await page.request.get('/api/systems/nursery/visits')).json()) as {
      visits: { id: string }[]
    }
    return got.visits.map((one) => one.id)
  }
  const before = await visits()
  const fresh = async () => (await visits()).filter((id) => !before.includes(id))

  await context.setOffline(true)
  await page.getByLabel('Readings of Nursery').fill('am .05 ph 7.6')
  await page.keyboard.press('Enter')
  await expect(signal).toContainText('No signal')
  await expect(signal).toContainText('1 entry waits')
  await page.getByRole('button', { name: 'All well at Yard Pond' }).click()
  await expect(signal).toContainText('2 entries wait')

  // The page itself opens again, with the last state of every system, and what waits is still there.
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Round' })).toBeVisible()
  await expect(signal).toContainText('2 entries wait')
  await page.goto('/nursery/trouble/card')
  await expect(page.getByRole('main')).toContainText('Fish gasp at the surface')
  await page.goto('/press-room/trouble')
  await expect(page.getByRole('main')).toContainText('What do you see?')
  await page.goto('/')

  await context.setOffline(false)
  await expect(signal).toContainText('Booked now', { timeout: 60_000 })
  await expect(signal).toContainText('nursery: am .05 ph 7.6; yard-pond: Looked at on the round: all well.')
  expect(await fresh()).toHaveLength(1)
  await signal.getByRole('button', { name: 'Seen' }).click()
  await expect(signal).toHaveCount(0)
  await page.reload()
  expect(await fresh()).toHaveLength(1)
})
