import { accessible, expect, test } from './yard'

test('a power cut is worked through by two people on two devices, one without signal for a while', async ({
  yard: page,
  browser,
}) => {
  await page.goto('/press-room/trouble')
  await page.getByRole('button', { name: 'Open an incident' }).click()
  const opening = page.getByRole('form', { name: 'Open an incident' })
  await opening.getByLabel('What happened?').selectOption({ label: 'a power cut' })
  await opening.getByLabel(/^Began/).fill('20')
  await opening.getByRole('button', { name: 'Open the incident' }).click()
  const bar = page.getByRole('region', { name: 'Incident' })
  await expect(bar).toContainText('a power cut')
  await expect(page.getByRole('checkbox', { name: 'the pump stands, or stood' })).toBeChecked()
  await accessible(page)

  // Somebody else on another device sees the same, and does the first step.
  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await other.goto('/')
  await other.getByRole('button', { name: /Tobias/ }).click()
  await expect(other.getByRole('main')).toContainText('a power cut. Steps that wait')
  await other.goto('/press-room/trouble')
  await other.getByRole('button', { name: 'Done', exact: true }).first().waitFor()
  // In the cellar there is no signal: what is ticked is kept on the device, and nobody else sees it yet.
  await other.context().setOffline(true)
  await other.getByRole('button', { name: 'Done', exact: true }).first().click()
  await expect(other.getByText('Kept on this device; it is booked when there is signal.')).toBeVisible()
  const signal = other.getByRole('status', { name: 'Signal' })
  await expect(signal).toContainText('1 entry waits')
  await other.getByLabel(/^Readings, as/).fill('ph 7.5')
  await other.keyboard.press('Enter')
  await expect(signal).toContainText('2 entries wait')
  await page.reload()
  await expect(page.getByRole('main')).not.toContainText(/Done .*, Tobias/)
  await other.context().setOffline(false)
  await expect(signal).toContainText('Booked now', { timeout: 60_000 })
  await expect(signal).toContainText('press-room: done')
  await expect(other.getByRole('main')).toContainText(/Done .*, Tobias/)
  await accessible(other)

  // The first sees who did it, and skips another, told what that costs.
  await page.reload()
  await expect(page.getByRole('main')).toContainText(/Done .*, Tobias/)
  await page.getByRole('button', { name: 'Skip', exact: true }).first().click()
  await page.getByRole('button', { name: 'Skip it' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Say why' })).toBeVisible()
  await page.getByLabel('Why it is skipped').fill('the power is back')
  await page.getByRole('button', { name: 'Skip it' }).click()
  await expect(page.getByRole('main')).toContainText(/Skipped .*the power is back/)

  // Closed with its cause, and its page tells who did what.
  await bar.getByRole('button', { name: 'Close it' }).click()
  const closing = page.getByRole('form', { name: 'Close the incident' })
  await closing.getByRole('button', { name: 'Close the incident' }).click()
  await expect(closing.getByRole('alert').first()).toBeVisible()
  await closing.getByLabel('What was the cause?').selectOption({ label: 'A filter that stood still' })
  await closing.getByLabel(/^What changes/).fill('An alarm on ring 2.')
  const early = closing.getByLabel('Why close it already?')
  if (await early.isVisible()) await early.fill('power was out for twenty minutes only')
  await closing.getByRole('button', { name: 'Close the incident' }).click()
  await expect(page.getByRole('main')).toContainText('A filter that stood still.')
  await expect(page.getByRole('region', { name: 'In order of time' })).toContainText('Tobias')
  await expect(page.getByRole('main')).toContainText('An alarm on ring 2.')
  await accessible(page)
  await page.goto('/press-room/trouble')
  await expect(page.getByRole('region', { name: 'Incidents before' })).toContainText('a power cut')

  // The card that hangs on the wall.
  await page.getByRole('link', { name: 'Emergency card' }).click()
  await expect(page.getByRole('region', { name: 'The power is out, or the pump stands' })).toBeVisible()
  await accessible(page)
  await other.close()
})
