import { beforeEach, expect, it } from 'vitest'
import type { Component } from 'vue'
import { queryClient } from '@/api/queries'
import { answers } from './server'
import { shown, signedIn } from './shown'

const TROUBLE = 'GET /api/systems/vat/trouble'
const calm = { causes: [], watched: [], tests: [], old: [] }
const bench = {
  title: '',
  fields: [],
  errors: {},
  refused: false,
  measure: null,
  figures: [],
  steps: [],
  cautions: [],
}
/** Pages that say of themselves that nothing is due where the readings ask for nothing. */
const PAGES: [string, () => Promise<{ default: Component }>, RegExp][] = [
  ['Buffer', () => import('@/views/water/BufferPage.vue'), /Nothing is to be raised|Test before dosing/],
  ['Dose', () => import('@/views/dose/DosePage.vue'), /No dose is due/],
]

beforeEach(() => {
  queryClient.clear()
  signedIn()
  answers('GET /api/sources', [])
  answers('GET /api/systems/vat/bench/buffer', bench)
  answers('GET /api/systems/vat/courses', { courses: [], charges: [] })
  answers('GET /api/systems/vat/dose', {
    bodies: [],
    things: [],
    thing: null,
    state: [],
    given: [],
    not_offered: [],
  })
})

it.each(PAGES)('%s says that nothing is due only when the readings were asked', async (_, page, nothing) => {
  const part = (await page()).default
  const props = { system: { slug: 'vat', name: 'Vat', water: { strips: [] } } }
  answers(TROUBLE, { message: 'Something went wrong here.' }, 500)
  const failed = await shown(part, { props, at: '/vat/dose' })
  expect(failed.text()).not.toMatch(nothing)
  expect(failed.find('.today [role=alert]').text()).toContain('Something went wrong here.')

  queryClient.clear()
  signedIn()
  answers(TROUBLE, calm)
  const asked = await shown(part, { props, at: '/vat/dose' })
  expect(asked.text()).toMatch(nothing)
  expect(asked.find('.today [role=alert]').exists()).toBe(false)
})
