import { readFileSync } from 'node:fs'
import { accessible, expect, test, tooSmall } from './yard'

/** Every page by its name in the router, with an address of the demo at which it has something to show. */
const PAGES: Record<string, string> = {
  round: '/',
  shelf: '/shelf',
  calendar: '/calendar',
  report: '/report',
  losses: '/losses',
  begin: '/begin',
  sheets: '/sheets',
  you: '/you',
  new: '/new',
  system: '/press-room',
  test: '/press-room/test',
  trouble: '/arrivals/trouble?seen=gasping',
  card: '/press-room/trouble/card',
  water: '/press-room/water',
  trickle: '/press-room/water/trickle',
  'make-water': '/press-room/water/make',
  buffer: '/press-room/water/buffer',
  capacity: '/press-room/capacity',
  maturing: '/cold-store/maturing',
  service: '/press-room/service',
  'service-whole': '/yard-pond/service/whole/drain',
  year: '/press-room/service/year',
  'clear-water': '/yard-pond/service/clear',
  fish: '/arrivals/fish',
  look: '/hospital-tub/look',
  arrivals: '/arrivals/arrivals',
  dose: '/press-room/dose',
  course: '/arrivals/course',
  plumbing: '/yard-pond/plumbing',
  build: '/press-room/build',
  limits: '/press-room/limits',
  book: '/press-room/book',
}

/** These stand only while something goes on, and are looked at where it does: service.spec, incident.spec. */
const ELSEWHERE = ['service-run', 'incident']

/** Used standing up: whatever is pressed on these is 44 px high at least. */
const BY_THUMB = ['round', 'test', 'water', 'dose', 'course', 'look', 'arrivals']

test('every page of the product is looked at here', () => {
  const router = readFileSync(new URL('../../front/src/router.ts', import.meta.url), 'utf8')
  const names = [...router.matchAll(/name: '([\w-]+)'/g)].map((found) => found[1])
  expect([...Object.keys(PAGES), ...ELSEWHERE].sort()).toEqual(names.sort())
})

for (const [name, path] of Object.entries(PAGES)) {
  test(`${name} can be used by everyone, by day, by night and on a narrow screen`, async ({
    walker: page,
  }) => {
    const faults: string[] = []
    page.on('pageerror', (error) => faults.push(error.message))
    await page.emulateMedia({ colorScheme: 'light' })
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.goto(path)
    await page.waitForLoadState('networkidle')
    await expect(page.getByRole('main')).not.toContainText(/Opening|Loading/)
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible()
    await accessible(page)
    await page.emulateMedia({ colorScheme: 'dark' })
    await accessible(page)
    await page.setViewportSize({ width: 390, height: 844 })
    await accessible(page)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    if (BY_THUMB.includes(name)) expect(await tooSmall(page)).toEqual([])
    expect(faults).toEqual([])
  })
}
