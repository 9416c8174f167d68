import { execFileSync } from 'node:child_process'
import { accessible, expect, test } from './yard'

test('salt for the hospital tub is refused while zeolite hangs in it, and no button gives it', async ({
  yard: page,
}) => {
  await page.goto('/hospital-tub/dose')
  await page.getByLabel('Treatment').selectOption('Salt')
  await expect(page.getByRole('alert')).toContainText('Salt makes zeolite release its ammonia')
  await expect(page.getByRole('button', { name: /^Give/ })).toHaveCount(0)
  await accessible(page)
  await page.goto('/hospital-tub/course')
  await expect(page.getByRole('region', { name: 'Charges in the loop' })).toContainText(
    /900 g of zeolite.*regenerated 1 times.*% used/,
  )
  await page.getByRole('button', { name: 'Taken out' }).click()
  await expect(page.getByText('No zeolite, resin or carbon hangs in this loop.')).toBeVisible()
  await page.goto('/hospital-tub/dose')
  await page.getByLabel('Treatment').selectOption('Salt')
  const salt = page.getByRole('region', { name: 'Salt', exact: true })
  await salt.getByLabel(/^Salt wanted/).fill('0.3%')
  await salt.getByLabel(/^Salt now/).fill('0')
  await expect(salt.getByText(/^\d+ g/).first()).toBeVisible()
})

test('a course of three doses runs across a change of water and is topped up to its level', async ({
  yard: page,
}) => {
  await page.goto('/yard-pond/dose')
  await page.getByLabel('Purpose').selectOption('flukes and tapeworms')
  await page.getByLabel('Treatment').selectOption('Praziquantel')
  const dose = page.getByRole('region', { name: 'Praziquantel' })
  await dose.getByRole('button', { name: /Start the course: 3 doses/ }).click()
  await expect(dose.getByText(/Not done yet: .*UV/)).toBeVisible()
  for (const box of await dose.getByRole('checkbox').all()) await box.check()
  await accessible(page)
  await dose.getByRole('button', { name: /Start the course: 3 doses/ }).click()
  await expect(page.getByRole('region', { name: 'Doses given' })).toContainText(/g of praziquantel on/)

  await page.goto('/yard-pond/course')
  const course = page.getByRole('region', { name: 'Praziquantel, running' })
  await expect(course).toContainText('Dose 2 of 3 is due in')
  await expect(course.getByRole('button', { name: 'Give only the top-up' })).toHaveCount(0)
  await page.getByLabel('Readings, as am .5 ni .1 ph 7.8 t 18.5').fill('wc 40%')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Booked a change of water at Yard Pond.')).toBeVisible()
  await page.goto('/yard-pond/course')
  // 2.5 mg/L were dosed and two fifths let out: 1 mg/L of the pond is to be made good.
  await expect(course).toContainText(/Left in the water: 1\.\d+ mg\/L/)
  const wanted = (await course.locator('.top').textContent()) ?? ''
  expect(Number.parseFloat(wanted)).toBeGreaterThan(20)
  for (const box of await course.getByRole('checkbox').all()) await box.check()
  await course.getByRole('button', { name: 'Give only the top-up' }).click()
  await expect(course).toContainText(/Left in the water: 2\.(4|5)\d* mg\/L/)
  await accessible(page)
})

test('a bath has a clock on every page until the fish are out', async ({ yard: page }) => {
  await page.goto('/arrivals/dose')
  await page.getByLabel('Treatment').selectOption('Hydrogen peroxide')
  const dose = page.getByRole('region', { name: 'Hydrogen peroxide' })
  await dose.getByLabel('Given as').selectOption('a bath')
  // The bottle on the shelf is of 12 %, and gone off.
  await expect(dose.getByText(/Peroxide, 12 % expired on/).first()).toBeVisible()
  for (const box of await dose.getByRole('checkbox').all()) await box.check()
  await dose.getByRole('button', { name: /Start the clock: 60 min/ }).click()
  await page.goto('/press-room')
  const timers = page.getByRole('list', { name: 'Open timers' })
  await expect(timers).toContainText(/Hydrogen peroxide bath at Arrivals .* left, 60 min at most/)
  await timers.getByRole('button', { name: 'Fish are out' }).click()
  await expect(timers.getByText('bath')).toHaveCount(0)
})

test('a bath is heard when its last safe minute is over, until the fish are out', async ({ yard: page }) => {
  // The loudest that reaches the loudspeaker, measured at the gain the tone goes through.
  await page.addInitScript(() => {
    const heard = window as unknown as { loudest: number }
    heard.loudest = 0
    const Real = window.AudioContext
    window.AudioContext = class extends Real {
      override createGain(): GainNode {
        const gain = super.createGain()
        const meter = super.createAnalyser()
        gain.connect(meter)
        const wave = new Float32Array(meter.fftSize)
        setInterval(() => {
          meter.getFloatTimeDomainData(wave)
          heard.loudest = Math.max(heard.loudest, ...wave)
        }, 20)
        return gain
      }
    }
  })
  let over = 0
  await page.route('**/api/timers', async (route) => {
    const answer = await route.fetch()
    const timers = (await answer.json()) as { since: string }[]
    await route.fulfill({
      json: timers.map((timer) => ({
        ...timer,
        since: new Date(new Date(timer.since).getTime() - over * 60_000).toISOString(),
      })),
    })
  })
  const loudest = () => page.evaluate(() => (window as unknown as { loudest: number }).loudest)
  await page.goto('/nursery/dose')
  await page.getByLabel('Treatment').selectOption('Hydrogen peroxide')
  const dose = page.getByRole('region', { name: 'Hydrogen peroxide' })
  await dose.getByLabel('Given as').selectOption('a bath')
  // The bottle on the shelf is of 12 %, and gone off.
  await expect(dose.getByText(/Peroxide, 12 % expired on/).first()).toBeVisible()
  for (const box of await dose.getByRole('checkbox').all()) await box.check()
  await dose.getByRole('button', { name: /Start the clock: 60 min/ }).click()
  const timers = page.getByRole('list', { name: 'Open timers' })
  await expect(timers).toContainText(/Hydrogen peroxide bath at Nursery .* left, 60 min at most/)
  expect(await loudest()).toBe(0)

  over = 61
  await page.goto('/press-room')
  await expect(timers).toContainText('the last safe minute is over: fish out now')
  await page.getByRole('heading', { level: 1 }).click()
  await expect.poll(loudest).toBeGreaterThan(0.3)
  await timers.getByRole('button', { name: 'Fish are out' }).click()
  await expect(timers.getByText('bath')).toHaveCount(0)
  await page.waitForTimeout(1000)
  await page.evaluate(() => ((window as unknown as { loudest: number }).loudest = 0))
  await page.waitForTimeout(4500)
  expect(await loudest()).toBe(0)
})

test('the sheet for the shed is printed with the amount, the order of work and room to initial', async ({
  yard: page,
}) => {
  await page.goto('/press-room/dose')
  await page.getByLabel('Treatment').selectOption('Formalin')
  await expect(page.getByRole('button', { name: 'Print the sheet' })).toBeVisible()
  const pdf = await page.pdf({ preferCSSPageSize: true })
  const text = execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf }).toString()
  expect(text).toContain('Press Room: Formalin')
  expect(text).toMatch(/158 mL/)
  const said = text.replace(/\s+/g, ' ')
  expect(said).toContain('Bay 2: 52 mL')
  expect(said).toContain('Gloves and eye protection on')
  expect(said).toContain('Watch for half an hour')
  expect(text).toMatch(/Given by _+/)
  expect(text).not.toContain('Log for')
})
