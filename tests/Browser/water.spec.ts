import { accessible, expect, test } from './yard'

test('nitrate is brought down in steps, the first with the pump off and its clock on every page', async ({
  yard: page,
}) => {
  await page.goto('/yard-pond/water')
  const goal = page.getByRole('region', { name: 'Plan a change' })
  await goal.getByLabel(/^Target/).fill('5')
  await expect(goal.getByText(/changes cannot bring nitrate from/)).toBeVisible()
  await goal.getByLabel(/^Target/).fill('20')
  await expect(goal.getByText(/Largest move in a day/)).toBeVisible()
  await expect(goal.getByText(/As a trickle over the same days/)).toBeVisible()
  await goal.getByRole('button', { name: 'Use this step' }).click()
  const one = page.getByRole('region', { name: 'One change' })
  await expect(one.getByRole('columnheader', { name: /^after/ })).toBeVisible()
  await one.getByLabel('Pump during the change').selectOption('yes')
  await one.getByRole('button', { name: /start the clock/ }).click()
  await expect(one.getByText('Enter the minutes the pump will be off.')).toBeVisible()
  await one.getByLabel(/^Pump off for/).fill('20')
  await expect(one.getByText(/minutes at most/)).toBeVisible()
  await one.getByRole('button', { name: /start the clock/ }).click()
  await expect(page.getByRole('region', { name: 'Changes in the book' })).toContainText('pump off')

  await page.goto('/press-room/fish')
  const timers = page.getByRole('list', { name: 'Open timers' })
  await expect(timers).toContainText(/Pump off at Yard Pond for \d+ min · planned for 20 min/)
  await page.goto('/yard-pond/water')
  await page.getByRole('button', { name: /^Undo/ }).first().click()
  await expect(page.getByText(/Its pump is still off/)).toBeVisible()
  await timers.getByRole('button', { name: 'Flow seen' }).click()
  await expect(timers.getByText('Pump off')).toHaveCount(0)
  await page.goto('/yard-pond/book')
  await expect(
    page
      .getByRole('region', { name: 'Score' })
      .locator('title', { hasText: 'expected after the change: Nitrate' }),
  ).not.toHaveCount(0)
})

test('what cannot be is met at its field', async ({ yard: page }) => {
  await page.goto('/press-room/water')
  const one = page.getByRole('region', { name: 'One change' })
  await one.getByLabel(/^or share/).fill('140')
  await expect(one.getByText(/must be .* to 100/)).toBeVisible()
  await one.getByLabel(/^or share/).fill('')
  await one.getByLabel(/^or meter before/).fill('1500')
  await one.getByLabel(/^and after/).fill('1200')
  await expect(one.getByText('The meter ran backwards: 1,500 to 1,200.')).toBeVisible()
})

test('a trickle is timed by the jug, and where its heat goes is laid open', async ({ yard: page }) => {
  await page.goto('/hospital-tub/water/trickle')
  const trickle = page.getByRole('region', { name: 'Start a trickle' })
  await trickle.getByLabel(/^Share/).fill('35')
  await expect(trickle.getByText(/the jug fills in/)).toBeVisible()
  await trickle.getByRole('button', { name: 'Start the trickle' }).click()
  await expect(page.getByText(/35 % of the water a week/)).toBeVisible()
  const heat = page.getByRole('region', { name: 'Where the heat goes' })
  await heat.getByLabel(/^Air in the shed/).fill('8')
  await heat.getByLabel(/^Heater/).fill('300')
  await heat.getByRole('button', { name: /^The heater is on for/ }).click()
  await expect(page.getByRole('complementary', { name: /working/i })).toContainText('Through walls and floor')
  await accessible(page)
})

test('new water is blended, and a buffer that would burn is refused before it is weighed', async ({
  yard: page,
}) => {
  await page.goto('/press-room/water/make')
  const blend = page.getByRole('region', { name: 'Blend' })
  await blend.getByLabel('and', { exact: true }).selectOption('RO unit')
  await blend.getByLabel(/^Nitrate wanted/).fill('6')
  await expect(blend.getByText(/Borehole .* \+ .*RO unit/)).toBeVisible()
  await expect(blend.getByText(/RO unit has no minerals/)).toBeVisible()
  await accessible(page)
  await page.goto('/press-room/water/buffer')
  const buffer = page.getByRole('region', { name: 'KH by buffer' })
  await buffer.getByLabel(/^KH wanted/).fill('8')
  await buffer.getByLabel('With', { exact: true }).selectOption('sodium bicarbonate')
  await expect(buffer.getByText('Step 1:')).toBeVisible()
  await buffer.getByText(/^With Volume/).click()
  await buffer.getByLabel(/^Total ammonia/).fill('2')
  await expect(buffer.getByRole('alert')).toContainText('Not now.')
  await expect(buffer.getByText('Step 1:')).toBeHidden()
  await accessible(page)
})

test('the pump-off clock asks to act when its plan is over and alarms when the fish are in danger', async ({
  yard: page,
}) => {
  let gone = 5
  await page.route('**/api/timers', (route) =>
    route.fulfill({
      json: [
        {
          kind: 'pump_off',
          id: '01JD00000000000000000000C1',
          system: 'press-room',
          system_name: 'Press Room',
          name: 'Pump',
          since: new Date(Date.now() - gone * 60_000).toISOString(),
          minutes: 70,
          planned: 20,
          by: 'oxygen',
          act_at: 20,
          emergency_at: 70,
        },
      ],
    }),
  )
  const row = page.getByRole('list', { name: 'Open timers' }).getByRole('listitem').first()
  for (const [minutes, state, says] of [
    [5, 'watch', /planned for 20 min; 6[45] min until oxygen is dangerous/],
    [30, 'act', /planned for 20 min and over; (39|40) min/],
    [75, 'emergency', 'oxygen is dangerous now: pump on, and air'],
  ] as const) {
    gone = minutes
    await page.goto('/nursery')
    await expect(row).toHaveClass(new RegExp(state))
    await expect(row).toContainText(says)
  }
  await accessible(page)
})
