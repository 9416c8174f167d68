import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import { type BrowserContext, expect, type Page, test as base } from '@playwright/test'

type Cookies = Parameters<BrowserContext['addCookies']>[0]

/** Signed in as the owner of the demo, once for all tests of a run; any error of the page fails the test. */
export const test = base.extend<{ yard: Page }, { owner: Cookies; walker: Page }>({
  owner: [
    async ({ browser }, use, { project }) => {
      const page = await browser.newPage({ baseURL: project.use.baseURL, serviceWorkers: 'block' })
      await page.goto('/')
      await page.getByRole('button', { name: /Maren, owner/ }).click()
      await expect(page.getByRole('navigation', { name: 'Systems' })).toContainText('Press Room')
      const cookies = await page.context().cookies()
      await page.close()
      await use(cookies)
    },
    { scope: 'worker' },
  ],
  // One page for whoever only looks from page to page: what was read before is not read again.
  walker: [
    async ({ browser, owner }, use, { project }) => {
      const context = await browser.newContext({ baseURL: project.use.baseURL, serviceWorkers: 'block' })
      await context.addCookies(owner)
      await use(await context.newPage())
      await context.close()
    },
    { scope: 'worker' },
  ],
  yard: async ({ page, context, owner }, use) => {
    const faults: string[] = []
    page.on('pageerror', (error) => faults.push(error.message))
    await context.addCookies(owner)
    await page.goto('/')
    await expect(page.getByRole('navigation', { name: 'Systems' })).toContainText('Press Room')
    await use(page)
    expect(faults).toEqual([])
  },
})

export { expect }

/** To a page of the system that is open: its group, then its name. */
export async function go(page: Page, group: string, name: string): Promise<void> {
  const ways = page.getByRole('navigation', { name: 'Pages of this system' })
  await ways.getByRole('link', { name: group, exact: true }).first().click()
  await ways.getByRole('link', { name, exact: true }).last().click()
}

/** What can be pressed and is less than 44 px high; a box that is ticked is pressed by its label. */
export async function tooSmall(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('a, button, select, summary, input:not([type=checkbox])')]
      .filter((one) => one.offsetParent !== null)
      .filter((one) => (one.closest('.n-input') ?? one).getBoundingClientRect().height < 43.5)
      .map((one) => `${one.tagName} ${one.textContent.trim() || one.getAttribute('aria-label')}`),
  )
}

/** No violation that keeps somebody from using the page. */
export async function accessible(page: Page): Promise<void> {
  // There are no frames in the pages, and only what is wrong is asked for: three times as fast.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze()
  const bad = violations.filter(
    (violation) => violation.impact === 'serious' || violation.impact === 'critical',
  )
  expect(
    bad.map(
      (violation) => `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`,
    ),
  ).toEqual([])
}

/** An owner of a site of its own, with nothing in its book; the password is withy-bed-77. */
export function newOwner(site: string, email: string): void {
  execFileSync(
    'php',
    ['artisan', 'ironwort:user', 'add', `--site=${site}`, '--name=Rowan', `--email=${email}`],
    { input: 'withy-bed-77\n', cwd: new URL('../..', import.meta.url).pathname },
  )
}

/** The book of the server that the pages come from. */
function database(): string {
  const env = new URL('../../var/.env', import.meta.url)
  return process.env.DATABASE_URL ?? /^DATABASE_URL=(.+)$/m.exec(readFileSync(env, 'utf8'))?.[1] ?? ''
}

/** So many days pass at a system: all that is in its book happened that much earlier. */
export function daysPass(slug: string, days: number): void {
  const system = `(SELECT id FROM systems WHERE slug = '${slug}')`
  const earlier = (table: string, ...columns: string[]) =>
    `UPDATE ${table} SET ${columns.map((one) => `${one} = ${one} - interval '${days} days'`).join(', ')} `
  const of = `WHERE system_id = ${system};`
  const sql = [
    earlier('readings', 'taken_at') + of,
    earlier('visits', 'taken_at', 'booked_at') + of,
    earlier('notes', 'taken_at') + of,
    earlier('fish_groups', 'arrived_on') + of,
    earlier('shipments', 'packed_at', 'arrived_at') + of,
    earlier('bags', 'drip_from', 'in_at') + of,
    earlier('fish_events', 'happened_on') + `WHERE from_system_id = ${system};`,
  ]
  execFileSync('psql', [database(), '-v', 'ON_ERROR_STOP=1', '-qc', sql.join(' ')])
}
