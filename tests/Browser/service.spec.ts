import { accessible, expect, go, test, tooSmall } from './yard'

test('a gravity filter that is due is run on a phone with the pump off, and not closed without flow', async ({
  yard: page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.clock.install()
  await page.goto('/yard-pond')
  await go(page, 'Filter', 'Service')
  const jobs = page.getByRole('list', { name: 'Jobs' })
  const mats = jobs.getByRole('listitem').filter({ hasText: 'Matting bay wash the mats' })
  // A month ago by the day; how many days that is goes by the hour.
  await expect(mats).toContainText(/done 3[01] days ago/)
  await accessible(page)
  // By an interval of one's own: how much is fed by then is up to what went before.
  await mats.getByRole('button', { name: 'Matting bay: wash the mats' }).click()
  await mats.getByLabel('My interval').fill('30')
  await mats.getByRole('button', { name: 'Keep it' }).click()
  await expect(mats).toContainText('due')
  await expect(mats).toContainText('of what lives in the filter')
  await expect(mats).toContainText('Never in tap water')
  await mats.getByRole('button', { name: 'Begin' }).click()

  // Lamp, valves, pump: each as one large press, and a reload keeps what was done.
  const run = page.getByRole('region', { name: 'Matting bay' })
  const next = run.getByRole('button', { name: /Done, next|I did it: book it/ })
  await expect(run.getByText(/Switch UV lamp off/)).toBeVisible()
  expect(await tooSmall(page)).not.toContain('BUTTON I did it: book it')
  while (await run.getByText(/Switch Bog pump off/).isHidden()) {
    const step = await run.locator('.big').innerText()
    await next.click()
    await expect(run.locator('.big')).not.toHaveText(step)
  }
  await next.click()
  await expect(run.getByText(/Lift Fine mats on top out/)).toBeVisible()
  await page.reload()
  await expect(run.getByText(/Lift Fine mats on top out/)).toBeVisible()
  await accessible(page)

  // The clock is on every page, and asks to act when the plan is over.
  await page.goto('/nursery')
  const timers = page.getByRole('list', { name: 'Open timers' })
  const off = timers.getByRole('listitem').filter({ hasText: /off at Yard Pond/ })
  await expect(off).toHaveClass(/watch/)
  await page.clock.fastForward('00:31:00')
  await expect(off).toHaveClass(/act/)
  await timers.getByRole('link', { name: /Matting bay: wash the mats/ }).click()

  // What waits for flow is refused until somebody saw it.
  await run
    .getByRole('button', { name: /^Step \d+$/ })
    .last()
    .click()
  await expect(run.getByText(/on again, now that water flows/)).toBeVisible()
  await next.click()
  await expect(run.getByRole('alert')).toContainText('First see water flow')
  await page.reload()
  const look = run.getByRole('button', { name: 'I see it flow at every one' })
  while (await look.isHidden()) {
    const step = await run.locator('.big').innerText()
    await next.click()
    await expect(run.locator('.big')).not.toHaveText(step)
  }
  await run.getByLabel(/or the flow/).fill('0')
  await run.getByRole('button', { name: 'Keep it' }).click()
  await expect(run.getByText(/no water flows/)).toBeVisible()
  await run.getByLabel(/or the flow/).fill('16500')
  await run.getByRole('button', { name: 'Keep it' }).click()
  const close = run.getByRole('button', { name: 'Close it' })
  await expect(run.getByText(/on again, now that water flows/)).toBeVisible()
  while (await close.isHidden()) {
    const step = await run.locator('.big').innerText()
    await next.click()
    await expect(run.getByText(step)).toBeHidden()
  }
  await close.click()
  await expect(run.getByText('Test ammonia in some hours, and again tomorrow.')).toBeVisible()
  await expect(timers.getByText('Yard Pond')).toHaveCount(0)

  // Booked by itself, and its next date is in the feed that any calendar follows.
  await go(page, 'Filter', 'Service')
  await expect(page.getByRole('region', { name: 'What was done' }).first()).toContainText('16,500')
  await page.goto('/calendar')
  await accessible(page)
  await page.getByRole('button', { name: /address to follow|A new address/ }).click()
  const url = await page.locator('code').innerText()
  const feed = await page.request.get(new URL(url).pathname)
  expect(feed.headers()['content-type']).toContain('text/calendar')
  const text = (await feed.text()).replace(/\r\n /g, '')
  expect(text).toContain('SUMMARY:Yard Pond: Matting bay: wash the mats')
  expect(text).not.toContain('SUMMARY:Late: Yard Pond: Matting bay: wash the mats')
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByRole('button', { name: 'Make an address to follow' })).toBeVisible()
  expect((await page.request.get(new URL(url).pathname)).status()).toBe(404)
})
