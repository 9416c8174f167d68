import { accessible, expect, go, test } from './yard'

test('a bag that would turn is netted across, a good one is dripped, and quarantine has a gate', async ({
  yard: page,
}) => {
  await page.goto('/arrivals')
  await go(page, 'Fish', 'Arrivals')
  const type = async (fields: Record<string, string>) => {
    for (const [label, value] of Object.entries(fields))
      await page
        .getByRole('main')
        .getByLabel(new RegExp(`^${label}`))
        .fill(value)
  }
  await type({ 'Water in the bag': '20', Temperature: '20', pH: '6.4', Ammonia: '8', KH: '4.5' })
  const opening = page.getByRole('region', { name: 'Opening it' })
  await expect(opening).toContainText('net the fish across at once')
  await expect(page.getByRole('region', { name: 'Into this water' })).toBeHidden()
  await type({ Ammonia: '0', pH: '7.6', Temperature: '17' })
  await expect(opening).toContainText('may be opened and dripped')
  const into = page.getByRole('region', { name: 'Into this water' })
  await expect(into).toContainText('Drip at')
  await expect(into).toContainText('is farthest apart')
  await type({ 'Water in the bag': 'plenty' })
  await expect(page.getByRole('alert').first()).toBeVisible()
  await accessible(page)

  await go(page, 'Fish', 'Fish and feed')
  const held = page.getByRole('region', { name: 'Quarantine' })
  await expect(held).toContainText(/Day \d+ of \d+/)
  await expect(held.getByRole('list', { name: 'Gate' })).toContainText('Days left')
  await held.getByLabel('My protocol').fill('400')
  await held.getByRole('button', { name: 'Keep it' }).click()
  await expect(held.getByRole('alert').first()).toBeVisible()
  await held.getByLabel('My protocol').fill('35')
  await held.getByRole('button', { name: 'Keep it' }).click()
  await expect(held).toContainText(/Day \d+ of 35/)
  await accessible(page)

  // Sold before it is over: only with a reason.
  await page
    .getByRole('button', { name: /^Measure, move or take out/ })
    .first()
    .click()
  const action = page.getByRole('form', { name: /What happened to/ })
  await action.getByLabel('What happened').selectOption('sold')
  await action.getByLabel('How many').fill('1')
  await action.getByRole('button', { name: 'Book it' }).click()
  await expect(action).toContainText('Give a reason')
  await action.getByRole('button', { name: 'Cancel' }).click()
})
