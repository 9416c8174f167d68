import { beforeEach, expect, it } from 'vitest'
import type { Plumbing } from '@/api/types'
import { loop } from '@testing/loop'
import { shown, signedIn } from '@testing/shown'
import LoopStrip from './LoopStrip.vue'

beforeEach(() => signedIn())

const small = () =>
  loop(
    [['pond', 1000]],
    ['drum', 'moving bed with far too long a name'],
    ['main'],
    [
      ['v:pond>s:drum', 9000],
      ['s:drum>s:moving bed with far too long a name', 9000],
      ['s:moving bed with far too long a name>p:main', 9000],
      ['p:main>v:pond', 9000],
    ],
  )
const drawn = (plumbing: Plumbing, more: object = {}) =>
  shown(LoopStrip, { props: { plumbing, slug: 'vat', ...more }, at: '/vat/plumbing' })

it('draws every part as a way to its place in the build, and every line', async () => {
  const page = await drawn(small())
  expect(page.findAll('a').map((one) => one.attributes('href'))).toEqual(
    expect.arrayContaining(['/vat/build#vessel:pond', '/vat/build#stage:drum', '/vat/build#pump:main']),
  )
  expect(page.findAll('.run')).toHaveLength(4)
  expect(page.find('svg').attributes('aria-label')).toBe('Loop of 4 parts and 4 lines')
})

it('shortens a name in its box and never where it is read aloud', async () => {
  const page = await drawn(small())
  const bed = page.find('a[aria-label="moving bed with far too long a name"]')
  expect(bed.find('text').text()).toMatch(/^moving b.*…$/)
})

it('says of a stage that is bypassed, of a pump that is off and of a bay that is shut, what it is', async () => {
  const plumbing = small()
  plumbing.stages[0]!.bypassed = true
  plumbing.vessels[0]!.shut_off = true
  const page = await drawn(plumbing)
  expect(page.find('a[aria-label="drum, bypassed"]').find('.stands').text()).toBe('bypassed')
  expect(page.find('a[aria-label="pond, shut off"]').exists()).toBe(true)
})

it.each([
  [0.25, 0.25],
  [1.7, 1],
])('fills a stage that uses %d of what it can do to %d of its height', async (share, height) => {
  const page = await drawn(small(), { share: { drum: share } })
  const [box, filled] = page.find('a[aria-label=drum]').findAll('rect')
  expect(Number(filled!.attributes('height'))).toBeCloseTo(height * Number(box!.attributes('height')), 6)
  // From the bottom up.
  expect(Number(filled!.attributes('y')) + Number(filled!.attributes('height'))).toBeCloseTo(
    Number(box!.attributes('y')) + Number(box!.attributes('height')),
    6,
  )
  expect(page.findAll('.filled')).toHaveLength(1)
})
