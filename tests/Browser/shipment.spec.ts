import { accessible, daysPass, expect, go, test } from './yard'

test('a shipment of two bags comes into quarantine, is looked at, held, and moved when its gate opens', async ({
  yard: page,
}) => {
  const main = page.getByRole('main')
  const log = async (name: string, line: string) => {
    await page.getByPlaceholder(/^am \.5/).fill(line)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status').filter({ hasText: 'Booked' })).toContainText(
      new RegExp(name.replace(' ', '.'), 'i'),
    )
  }
  const add = async (name: string, kind: string, stage: string) => {
    await page.goto('/new')
    await page.getByLabel('Name', { exact: true }).fill(name)
    await page.getByLabel('Purpose').selectOption(kind)
    await page.getByLabel('Life stage').selectOption(stage)
    await page.getByLabel('Start from').selectOption('gravity_loop')
    await page.getByLabel('Filter', { exact: true }).selectOption('today')
    await page.getByRole('button', { name: 'Add the system' }).click()
    await expect(page.getByRole('heading', { name })).toBeVisible()
  }
  await add('Malt Floor', 'holding', 'adult')
  await log('Malt Floor', 'am 0 ni 0 na 60 ph 7.6 t 20 do 8 kh 6')
  await add('Isolation', 'quarantine', 'quarantine')
  await log('Isolation', 'am 0 ni 0 na 5 ph 7.6 t 20 do 8 kh 6')

  // Two bags: one full of ammonia, one that is only colder.
  await go(page, 'Fish', 'Arrivals')
  await page.getByRole('button', { name: 'A shipment came' }).click()
  const came = page.getByRole('form', { name: 'A shipment came' })
  await came.getByRole('button', { name: 'Save the shipment' }).click()
  await expect(came.getByRole('alert')).toBeVisible()
  await came.getByLabel('From').fill('Sedge Farm')
  await came.getByLabel(/^Packed/).fill('12')
  await came.getByRole('button', { name: 'Save the shipment' }).click()
  const shipment = page.getByRole('region', { name: 'From Sedge Farm' })
  const bag = async (fields: Record<string, string>) => {
    const form = shipment.getByRole('form', { name: 'Add a bag' })
    for (const [label, value] of Object.entries(fields))
      await form.getByLabel(new RegExp(`^${label}`)).fill(value)
    await form.getByRole('button', { name: 'Save the bag' }).click()
    await expect(form).toBeHidden()
  }
  await bag({
    'What they are called': 'Foul bag',
    'Fish in it': '4',
    'Mean length': '30',
    'Water in the bag': '25',
    Temperature: '19',
    pH: '6.4',
    Ammonia: '9',
    KH: '5',
  })
  const foul = shipment.getByRole('listitem').filter({ hasText: 'Foul bag' }).first()
  await expect(foul).toContainText('net the fish across at once')
  await expect(foul.getByRole('button', { name: 'Start the drip' })).toBeHidden()
  await shipment.getByRole('button', { name: 'Add a bag' }).click()
  await bag({
    'What they are called': 'Cold bag',
    'Fish in it': '5',
    'Mean length': '25',
    'Water in the bag': '20',
    Temperature: '16',
    pH: '7.5',
    Ammonia: '0',
  })
  const cold = shipment.getByRole('listitem').filter({ hasText: 'Cold bag' }).first()
  await expect(page.getByRole('region', { name: 'Before they go in' })).toContainText('9 fish')
  await accessible(page)

  // The drip has its clock on every page, and asks to act when it is over.
  await cold.getByRole('button', { name: 'Start the drip' }).click()
  await expect(cold).toContainText('dripping since')
  const clock = page
    .getByRole('list', { name: 'Open timers' })
    .getByRole('listitem')
    .filter({ hasText: 'Cold bag' })
  await page.goto('/nursery')
  await expect(clock).toContainText('dripping at Isolation')
  await clock.getByRole('link').click()
  for (const [row, dead] of [
    [foul, '1'],
    [cold, ''],
  ] as const) {
    await row.getByRole('button', { name: 'Put them in' }).click()
    const into = row.getByRole('form', { name: 'Put them in' })
    if (row === cold) await expect(into).toContainText('starts it again')
    await into.getByLabel('Dead on arrival').fill(dead)
    await into.getByRole('button', { name: 'They are in' }).click()
    await expect(row).toContainText('in since')
  }
  await expect(clock).toBeHidden()
  await expect(foul).toContainText('1 dead on arrival')

  // One of them has a sore: marked where it is.
  await go(page, 'Now', 'Look at fish')
  await expect(main).toContainText('In quarantine every fish is looked at')
  const look = page.getByRole('form', { name: 'Look at fish' })
  await look.getByLabel('Whom do you look at?').selectOption({ label: 'Foul bag, 3' })
  await look.getByRole('checkbox', { name: 'ulcer' }).check()
  const side = look.getByRole('img', { name: /^From the side/ })
  await side.click({ position: { x: 120, y: 60 } })
  await expect(look.getByRole('img', { name: 'From the side: ulcer' })).toBeVisible()
  await accessible(page)
  await look.getByRole('button', { name: 'Book the look' }).click()
  const before = page.getByRole('region', { name: 'Looks before' })
  await expect(before).toContainText('ulcer (1, clear)')
  await expect(before.getByRole('img', { name: 'From the side: ulcer' })).toBeVisible()

  // Too early: what is missing is said, and they leave only with a reason.
  await go(page, 'Fish', 'Fish and feed')
  const gate = page.getByRole('region', { name: 'Quarantine' }).getByRole('list', { name: 'Gate' })
  await expect(gate).toContainText('Days left: 21')
  await expect(gate).toContainText('Seen on them in the last week: ulcer')
  await expect(gate).toContainText('1 died in the last seven days')
  await page.getByRole('button', { name: 'Measure, move or take out Cold bag' }).click()
  const move = page.getByRole('form', { name: 'What happened to Cold bag' })
  await move.getByLabel('What happened').selectOption('moved')
  await move.getByLabel('How many').fill('5')
  await move.getByLabel('To', { exact: true }).selectOption({ label: 'Malt Floor' })
  await expect(move).toContainText('Days left: 21')
  await move.getByRole('button', { name: 'Book it' }).click()
  await expect(move.getByRole('alert').filter({ hasText: 'Give a reason' })).toBeVisible()

  // Three weeks on, tested and looked at: the gate is open, and the nitrate is what is left to be matched.
  daysPass('isolation', 21)
  await page.goto('/isolation/look')
  await log('Isolation', 'am 0 ni 0 na 5 ph 7.6 t 20 do 8 kh 6')
  await look.getByRole('button', { name: 'Looked, nothing wrong' }).click()
  await expect(before).toContainText('nothing wrong')
  await go(page, 'Fish', 'Fish and feed')
  await expect(page.getByRole('region', { name: 'Quarantine' })).toContainText('The gate is open')
  await page.getByRole('button', { name: 'Measure, move or take out Cold bag' }).click()
  await move.getByLabel('What happened').selectOption('moved')
  await move.getByLabel('How many').fill('5')
  await move.getByLabel('To', { exact: true }).selectOption({ label: 'Malt Floor' })
  await expect(move).toContainText(/Nitrate is 5 mg\/L.*Bring the nitrate of one of the two waters nearer/)
  await move.getByLabel('Why').fill('nitrate brought down over two days')
  await move.getByRole('button', { name: 'Book it' }).click()
  await expect(move).toBeHidden()
  await expect(page.getByRole('region', { name: 'Arrivals, moves and losses' })).toContainText(
    '5 Cold bag moved to Malt Floor',
  )

  // And what became of them all.
  await page.getByRole('link', { name: 'Survival and losses' }).first().click()
  const row = page.getByRole('region', { name: 'By shipment' }).getByRole('row', { name: /Sedge Farm/ })
  await expect(row).toContainText('88.9 %')
  await accessible(page)
})
