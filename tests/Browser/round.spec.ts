import { accessible, expect, test } from './yard'

test('the round is walked: readings are booked where one stands, and what is well is ticked', async ({
  yard: page,
}) => {
  const arrivals = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: 'Arrivals', exact: true }) })
    .last()
  await expect(arrivals).toContainText('Praziquantel: Dose 2 of 3 is')
  await expect(arrivals).toContainText('Look again: flashing')
  await accessible(page)
  await page.getByLabel('Readings of Nursery').fill('am lots')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByLabel('Readings of Nursery').fill('am .05 ph 7.6')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Booked 2 readings at Nursery/)).toBeVisible()
  await page.getByRole('button', { name: 'All well at Yard Pond' }).click()
  await expect(
    page
      .getByRole('listitem')
      .filter({ has: page.getByRole('link', { name: 'Yard Pond', exact: true }) })
      .last(),
  ).toContainText('Looked at just now')
  await page.setViewportSize({ width: 390, height: 844 })
  await accessible(page)
})

test('systems stand in the order in which one walks, and keep it', async ({ yard: page }) => {
  const walk = page.getByRole('region', { name: 'Walking order' })
  await walk.getByRole('button', { name: 'Walking order' }).click()
  const names = () => walk.getByRole('listitem').locator('span').allInnerTexts()
  await expect(walk.getByRole('button', { name: 'Nursery earlier' })).toBeVisible()
  const before = await names()
  const at = before.indexOf('Nursery')
  await walk.getByRole('button', { name: 'Nursery earlier' }).click()
  await expect(walk.getByRole('listitem').nth(at - 1)).toContainText('Nursery')
  await accessible(page)
  await page.reload()
  await walk.getByRole('button', { name: 'Walking order' }).click()
  await expect(walk.getByRole('listitem').nth(at - 1)).toContainText('Nursery')
  await walk.getByRole('button', { name: 'Nursery later' }).click()
  await expect(walk.getByRole('listitem').nth(at)).toContainText('Nursery')
  expect(await names()).toEqual(before)
})

test('a round is begun, a system skipped for a reason, handed over with a note, and finished by the other', async ({
  yard: page,
  browser,
}) => {
  const bar = page.getByRole('region', { name: 'My round' })
  await bar.getByRole('button', { name: 'Begin my round' }).click()
  await expect(bar).toContainText('On the round')
  await page.getByRole('button', { name: 'Skip Cold Store' }).click()
  await page.getByRole('button', { name: 'Skip it' }).click()
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByLabel('Why Cold Store is skipped').fill('door is iced up')
  await page.getByRole('button', { name: 'Skip it' }).click()
  await expect(bar).toContainText('1 skipped')
  await bar.getByRole('button', { name: 'Finish the round' }).click()
  await bar.getByRole('button', { name: 'Finish', exact: true }).click()
  await expect(bar.getByRole('alert')).toContainText('Yard Pond')
  await bar.getByRole('button', { name: 'Go on walking' }).click()
  await bar.getByRole('button', { name: 'Hand it over' }).click()
  await bar.getByLabel('To').selectOption({ label: 'Tobias' })
  await bar.getByLabel('What should they know?').fill('The nursery is still to do')
  await accessible(page)
  await bar.getByRole('button', { name: 'Hand over' }).click()
  await expect(bar.getByRole('button', { name: 'Begin my round' })).toBeVisible()

  const other = await (await browser.newContext()).newPage()
  await other.goto('/')
  await other.getByRole('button', { name: /Tobias, helper/ }).click()
  const his = other.getByRole('region', { name: 'My round' })
  await expect(his).toContainText('Maren handed it to you: The nursery is still to do')
  const well = other.getByRole('button', { name: /^All well at / })
  const labels = await well.evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''))
  for (const [n, label] of labels.filter((one) => !one.endsWith('Cold Store')).entries()) {
    await other.getByRole('button', { name: label, exact: true }).click()
    await expect(his).toContainText(`${n + 1} of ${labels.length} looked at`)
  }
  await his.getByRole('button', { name: 'Finish the round' }).click()
  await his.getByLabel('Anything to say?').fill('All calm')
  await his.getByRole('button', { name: 'Finish', exact: true }).click()
  await expect(his.getByRole('button', { name: 'Begin my round' })).toBeVisible()
  await other.getByText('Rounds before').click()
  await expect(other.getByText(/\d looked at; skipped Cold Store \(door is iced up\)/).first()).toBeVisible()
  await other.goto('/cold-store/book')
  await expect(other.getByText(/Skipped on the round: door is iced up/).first()).toBeVisible()
})
