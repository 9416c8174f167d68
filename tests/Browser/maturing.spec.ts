import { accessible, expect, go, test } from './yard'

test('the start in the Cold Store says when it is ready, what would speed it, and how it knows', async ({
  yard: page,
}) => {
  await page.goto('/cold-store')
  await go(page, 'Filter', 'Maturing')
  await expect(page.getByText(/Ready about \d+ \w+ \d{4}, between/)).toBeVisible()
  await expect(
    page.getByRole('list', { name: 'How far it has come' }).locator('[aria-current=step]'),
  ).toHaveText(/Ammonia falls|Nitrite high/)
  await expect(page.getByRole('region', { name: 'What would speed it up' })).toContainText(
    /A seed of mature media.*days sooner/,
  )
  await accessible(page)
  await page.getByRole('button', { name: /^Days left/ }).click()
  await expect(page.getByRole('complementary')).toContainText(
    'The ammonia oxidisers of day 0 that fit the ammonia since best',
  )
  const before = await page.getByText(/Ready about/).textContent()
  await page.getByLabel(/^Ammonia dosed up to/).fill('.5')
  await expect(page.getByText(/Ready about/)).not.toHaveText(before ?? '')
  await page.getByLabel(/^Ammonia dosed up to/).fill('50')
  await expect(page.getByText(/5 mg\/L as N/).first()).toBeVisible()
  // The field it is to be put right in stands, with what was typed.
  await expect(page.getByLabel(/^Ammonia dosed up to/)).toHaveValue('50')
  await page.getByLabel(/^Ammonia dosed up to/).fill('')
  await expect(page.getByText(/Ready about/)).toHaveText(before ?? '')
  await page.getByRole('link', { name: 'Dose ammonia' }).click()
  const dose = page.getByRole('region', { name: 'Ammonia for a fishless start' })
  await dose.getByLabel('With', { exact: true }).selectOption('ammonium chloride')
  await dose.getByLabel(/^To a level of/).fill('4')
  await expect(dose.getByText(/Nitrite is over 5 mg\/L/).first()).toBeVisible()
  await expect(dose.getByText(/^\d+\.?\d* g/).first()).toBeVisible()
  await accessible(page)
})

test('a grown system has nothing to follow, and says so', async ({ yard: page }) => {
  await page.goto('/press-room/capacity')
  await go(page, 'Filter', 'Maturing')
  await expect(page.getByText(/No filter is maturing here/)).toBeVisible()
})
