import { accessible, expect, test } from './yard'

test('the score is read with a cursor, an entry is corrected, and the original stays beneath it', async ({
  yard: page,
}) => {
  await page.goto('/nursery/book')
  const score = page.getByRole('region', { name: 'Score' })
  const drawing = score.getByRole('img')
  await expect(drawing).toHaveAttribute('aria-label', /Ammonia .* to .*Arrow keys move the cursor/)
  await drawing.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(score.getByText(/Nitrate/).last()).toBeVisible()
  await score.getByLabel('Over').selectOption('a year')
  await expect(drawing).toBeVisible()
  await accessible(page)

  const entries = page.getByRole('region', { name: 'Entries' })
  await entries.getByLabel('Show').selectOption('tests')
  await entries.getByRole('link', { name: 'Correct' }).first().click()
  await expect(page.getByText('the original stays in the book')).toBeVisible()
  const nitrate = page.getByLabel('Nitrate', { exact: true })
  await expect(nitrate).not.toHaveValue('')
  await nitrate.fill('12')
  await page.getByRole('button', { name: 'Correct the test' }).click()
  // Booking leads to the system's page; leaving before it has led there would be undone by it.
  await expect(page.getByRole('heading', { name: 'Latest readings' })).toBeVisible()
  await page
    .getByRole('navigation', { name: 'Pages of this system' })
    .getByRole('link', { name: 'Book' })
    .click()
  await expect(entries.getByText(/corrected; it said/).first()).toBeVisible()
})

test('what is seen is picked and written, and a CSV is looked at before it comes in', async ({
  yard: page,
}) => {
  await page.goto('/cold-store/book')
  await page.getByText('Note what you see').click()
  await page.getByLabel('foam', { exact: true }).check()
  await page.getByLabel('Note', { exact: true }).fill('only at the shower')
  await page.getByRole('button', { name: 'Book it' }).click()
  const entries = page.getByRole('region', { name: 'Entries' })
  await expect(entries).toContainText('Foam. only at the shower')

  await page.getByText('Import readings from CSV').click()
  await page.getByLabel('The file', { exact: true }).setInputFiles({
    name: 'old.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('when;acid;nothing\n2026-01-05 08:00;7,6;x\n2026-01-12 08:00;78;x\n'),
  })
  await page.getByLabel('What when is').waitFor()
  await page.getByLabel('What acid is').selectOption('pH')
  await expect(page.getByText(/row 3, acid: pH cannot be 78/)).toBeVisible()
  await page.getByLabel('The file', { exact: true }).setInputFiles({
    name: 'old.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('time;ph\n2026-01-05 08:00;7,6\n2026-01-12 08:00;7,8\n'),
  })
  await expect(page.getByText('2 visits with 2 readings')).toBeVisible()
  await page.getByRole('button', { name: 'Import them' }).click()
  await expect(page.getByText('Kept 2 visits with 2 readings.')).toBeVisible()
})

test('on a phone the log bar has keys of its own, with the steps of the kit', async ({ yard: page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/arrivals')
  const bar = page.getByRole('search', { name: 'Log bar' })
  await bar.getByRole('button', { name: '123' }).click()
  const keypad = bar.getByRole('group', { name: 'Keypad' })
  await keypad.getByRole('button', { name: 'Ammonia', exact: true }).click()
  await keypad
    .getByRole('group', { name: 'Steps of Ammonia' })
    .getByRole('button', { name: '0.25', exact: true })
    .click()
  await keypad.getByRole('button', { name: 'pH', exact: true }).click()
  for (const key of ['7', '.', '8', '5']) await keypad.getByRole('button', { name: key, exact: true }).click()
  await keypad.getByRole('button', { name: 'Rub out' }).click()
  await expect(bar.getByRole('textbox')).toHaveValue('am 0.25 ph 7.8')
  await accessible(page)
  await bar.getByRole('button', { name: 'Keep' }).click()
  await expect(bar.getByRole('textbox')).toHaveValue('')
})

test("a kit is put on the shelf, its colours are keys, and a limit of one's own is told with its reason", async ({
  yard: page,
}) => {
  await page.goto('/shelf')
  await page.getByRole('button', { name: 'Add a kit' }).click()
  await page.getByRole('button', { name: 'Nitrite drops', exact: true }).click()
  await page.getByLabel('Unit of the kit').selectOption('mg_l_n')
  await page.getByLabel('Colour steps').fill('0 .05 .1 .2 .5 1 2')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('region', { name: 'Kits' })).toContainText('Nitrite drops')
  await accessible(page)
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/arrivals/test')
  // Only the colours of the row one stands in are open on a phone.
  await page.getByLabel('Nitrite', { exact: true }).focus()
  await page
    .getByRole('group', { name: 'Colours of Nitrite' })
    .getByRole('button', { name: '0.2', exact: true })
    .click()
  await expect(page.getByLabel('Nitrite', { exact: true })).toHaveValue('0.2')
  await page.getByLabel('pH', { exact: true }).fill('6')
  await expect(page.getByText(/The last reading was 7.8. Is this right\?/)).toBeVisible()
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto('/arrivals/limits')
  await page.getByRole('button', { name: 'Set limits of Nitrate' }).click()
  await page.getByRole('button', { name: 'Save these limits' }).click()
  await expect(page.getByText('Give the reason for your own limit.')).toBeVisible()
  await page.getByLabel('Why').fill('new fish come from water this high')
  await page.getByRole('button', { name: 'Save these limits' }).click()
  await expect(page.getByText('yours: new fish come from water this high')).toBeVisible()
  await accessible(page)
})
