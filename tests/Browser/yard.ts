import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test as base } from '@playwright/test'

/** Signed in as the owner of the demo, and any error of the page fails the test. */
export const test = base.extend<{ yard: Page }>({
  yard: async ({ page }, use) => {
    const faults: string[] = []
    page.on('pageerror', (error) => faults.push(error.message))
    await page.goto('/')
    await page.getByRole('button', { name: /Maren, owner/ }).click()
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
  const { violations } = await new AxeBuilder({ page }).analyze()
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
