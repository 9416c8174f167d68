import { beforeEach, expect, it } from 'vitest'
import type { Plumbing } from '@/api/types'
import { signedIn } from '@testing/shown'
import { proof } from './proof'

const network = { surfaces: [], links: [{}, {}] }
const plumbing = { network } as unknown as Plumbing

beforeEach(() => signedIn())

it('asks the solved loop for this one part of it, all of it given along', () => {
  const figure = proof(plumbing, 'Drain', 'drain', 'flow_l_h', 9412.3)!
  expect(figure).toMatchObject({ calc: 'flow.network', key: 'flow_l_h', text: '9,412', unit: 'L/h' })
  expect(figure.input).toEqual({ ...network, ask: 'drain' })
  expect(figure.origins[0]!.text).toBe('2 links')
})

it('writes a head to its digits, and flow in the unit that was chosen', () => {
  expect(proof(plumbing, 'Drain', 'drain', 'loss_m', 0.018952)!.text).toBe('0.019')
  signedIn(true, { 'L/h': { symbol: 'US gal/h', factor: 1 / 3.785411784, offset: 0 } })
  expect(proof(plumbing, 'Drain', 'drain', 'flow_l_h', 9412.3)).toMatchObject({
    text: '2,486',
    unit: 'US gal/h',
    value_unit: 'L/h',
    value: 9412.3,
  })
})

it.each([
  [{ network: null } as unknown as Plumbing, 'drain', 1],
  [plumbing, null, 1],
  [plumbing, 'drain', null],
])('is no figure to open where nothing was solved or asked', (of, ask, value) => {
  expect(proof(of, 'Drain', ask, 'level_mm', value)).toBeNull()
})
