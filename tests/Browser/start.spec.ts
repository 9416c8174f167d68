import { expect, test } from './yard'

test('media move from one system to another, both say so, and it is undone at both', async ({
  yard: page,
}) => {
  await page.goto('/hospital-tub/maturing')
  const fishIn = page.getByRole('region', { name: 'Fish in a young filter' })
  await expect(fishIn.getByRole('link', { name: 'Change water' })).toBeVisible()
  await expect(page.getByLabel('Open timers')).toContainText('at Hospital tub')

  const seeds = page.getByRole('region', { name: 'Seeds' })
  await seeds.getByLabel('From', { exact: true }).selectOption('press-room')
  await seeds.getByLabel('Media').fill('2')
  await seeds.getByRole('button', { name: 'Book the seed' }).click()
  await expect(seeds).toContainText('Check the donor first')
  await seeds.getByLabel('Disease or treatment at the donor').selectOption('clean')
  await seeds.getByRole('button', { name: 'Book the seed' }).click()
  await expect(seeds.getByRole('listitem').filter({ hasText: 'from Press Room' })).toBeVisible()

  await page.goto('/press-room/maturing')
  await expect(page.getByRole('region', { name: 'Seeds' })).toContainText('went from here to Hospital tub')
  await page.goto('/hospital-tub/maturing')
  const row = seeds.getByRole('listitem').filter({ hasText: 'from Press Room' })
  await row.getByRole('button', { name: /Undo/ }).click()
  await expect(row).toHaveCount(0)
  const setbacks = await page.request.get('/api/systems/press-room/filter').then((answer) => answer.json())
  expect(setbacks.setbacks.filter((one: { kind: string }) => one.kind === 'moved')).toHaveLength(0)
})

test('a school is chosen for one system, then for all, and taken back', async ({ yard: page }) => {
  await page.goto('/nursery/limits')
  const margin = page.getByLabel('Filter margin', { exact: true })
  await margin.selectOption('half')
  // What it would change is told first, and left it changes nothing.
  const trial = page.getByRole('region', { name: 'What it would change: Filter margin' })
  await expect(trial).toContainText('Room for more feed')
  await trial.getByRole('button', { name: 'Leave it as it is' }).click()
  await expect(margin).toHaveValue('usual')
  await margin.selectOption('half')
  await trial.getByRole('button', { name: 'Follow it here' }).click()
  await page.getByRole('button', { name: 'Follow this school of filter margin in all systems' }).click()
  await page.goto('/yard-pond/limits')
  await expect(margin).toHaveValue('half')
  await page.getByRole('button', { name: 'Back to usual for filter margin in all systems' }).click()
  await expect(page.getByLabel('Filter margin', { exact: true })).toHaveValue('usual')
  await page.goto('/nursery/limits')
  await page.getByRole('button', { name: 'Nothing of its own for filter margin' }).click()
  await expect(page.getByLabel('Filter margin', { exact: true })).toHaveValue('usual')
})
