import { beforeEach, describe, expect, it, vi } from 'vitest'
import { queryClient } from '@/api/queries'
import { answers, asked, refuses } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import MaturingPage from './MaturingPage.vue'

const says = (code: string) => ({ code, text: `It says ${code}.` })
const start = (more: object = {}) => ({
  starting: false,
  says: says('model.start_none_young'),
  stage: null,
  does: [],
  since: null,
  ready_on: null,
  early_on: null,
  late_on: null,
  figures: [],
  nitrite_peak: null,
  ways: [],
  cautions: [],
  fields: [],
  limits: { tan_mg_l: 0.25, no2_n_mg_l: 0.25 },
  curve: [],
  readings: [],
  load: null,
  takes: null,
  band: null,
  living: null,
  fish_in: null,
  advice: [],
  seeds: [],
  given: [],
  seed_kinds: [],
  donors: [],
  ...more,
})
const followed = (more: object = {}) =>
  start({
    starting: true,
    stage: 'ammonia',
    says: says('model.phase_ammonia'),
    does: [says('model.do_keep_up')],
    since: '2026-11-01T08:00:00Z',
    ready_on: '2026-12-20T08:00:00Z',
    fields: [
      { key: 'dose_to_mg_l', label: 'Ammonia dosed up to', unit: 'mg/L as N', value: 2, from: 'assumed' },
    ],
    ...more,
  })
const MATURING = '/api/systems/vat/maturing'

async function open(found: object | (() => object), fish = 0) {
  signedIn()
  answers(`GET ${MATURING}`, found)
  answers('GET /api/vocabulary', { seen: [] })
  return shown(MaturingPage, {
    props: { system: { slug: 'vat', name: 'Vat', fish_count: fish } },
    at: '/vat/maturing',
  })
}
type Page = Awaited<ReturnType<typeof open>>
const links = (page: Page) => page.findAll('a').map((one) => one.text())
const here = (page: Page) => page.find('[aria-current=step]')

beforeEach(() => {
  queryClient.clear()
  localStorage.clear()
})

describe('how a filter matures', () => {
  it('a grown filter leads to its capacity', async () => {
    const page = await open(start())
    expect(page.text()).toContain('It says model.start_none_young.')
    expect(links(page)).toEqual(expect.arrayContaining(['Test the water', 'Capacity']))
    expect(here(page).exists()).toBe(false)
  })

  it('a start that nobody has tested says what to do until it is followed', async () => {
    const page = await open(
      start({ says: says('model.start_unread'), does: [says('model.do_bring_ammonia')] }),
    )
    expect(page.find('section[aria-label="What to do"]').text()).toContain('model.do_bring_ammonia')
    expect(links(page)).toContain('Dose ammonia')
    expect(links(page)).not.toContain('Capacity')
  })

  it('with fish in it no ammonia is offered', async () => {
    const page = await open(
      start({ says: says('model.start_unread'), does: [says('model.do_feed_lightly')] }),
      3,
    )
    expect(links(page)).not.toContain('Dose ammonia')
    expect(links(page)).toContain('Buffer KH')
  })

  it.each(['model.start_no_filter', 'model.start_no_nitrifiers', 'model.start_age_unknown'])(
    '%s leads to Build',
    async (code) => {
      const page = await open(start({ says: says(code), does: [says('model.do_keep_up')] }))
      expect(links(page)).toContain('Build')
      expect(page.find('section[aria-label="What to do"]').exists()).toBe(false)
    },
  )

  it('stands at its phase, with the day it is ready', async () => {
    const page = await open(followed())
    expect(here(page).text()).toBe('Ammonia falls')
    expect(page.find('.ready').text()).toContain('Ready about 20 Dec 2026')
  })

  it.each([
    ['ready', { stage: 'ready' }, 'Ready.'],
    ['fed by nothing', { stage: 'unfed', ready_on: null }, 'No ready day: nothing feeds the filter.'],
    ['too slow', { ready_on: null }, 'Not ready within four months at this rate.'],
  ])('a start that is %s says so', async (_, more, text) => {
    expect((await open(followed(more))).find('.ready').text()).toBe(text)
  })

  it('what is typed over is asked with, and a refusal stands at its field', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const page = await open(followed())
    refuses(`GET ${MATURING}`, { dose_to_mg_l: 'It must be 0.5 to 5 mg/L as N.' })
    await page.find('form.fields input').setValue('50')
    await vi.advanceTimersByTimeAsync(400)
    await settled()
    expect(JSON.stringify(asked.at(-1)!.query)).toContain('50')
    expect(page.find('form.fields').text()).toContain('It must be 0.5 to 5 mg/L as N.')
    expect(page.find<HTMLInputElement>('form.fields input').element.value).toBe('50')
    // What was worked out before stands, and is not lost.
    expect(here(page).text()).toBe('Ammonia falls')
    vi.useRealTimers()
  })

  it('tells of warnings, and keeps notes to itself', async () => {
    const cautions = [
      { level: 'watch', text: 'Nitrite holds it back.' },
      { level: 'note', text: 'Rates are at 20 °C.' },
    ]
    const page = await open(followed({ cautions, advice: [says('model.start_seed_again')] }))
    expect(page.findAll('.caution').map((one) => one.text())).toEqual([
      'It says model.start_seed_again.',
      'Nitrite holds it back.',
    ])
  })
})
