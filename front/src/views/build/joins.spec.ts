import { expect, it } from 'vitest'
import type { System } from '@/api/types'
import { joinFields, joinsFrom } from './joins'

const built = (lines: [string, string, number?][], more: object = {}) =>
  ({
    build: {
      vessels: [{ id: 'pond', name: 'Pond' }],
      stages: [
        { id: 'drum', name: 'Drum', chamber_id: null },
        { id: 'mat', name: 'Mat', chamber_id: null },
        { id: 'ball', name: 'Balls', chamber_id: 'mat' },
      ],
      junctions: [],
      lines: lines.map(([from, to, bore_mm = 110]) => ({ from, to, bore_mm })),
      ...more,
    },
  }) as unknown as System

it('goes on from the last stage that leads nowhere, by the bore that leads there', () => {
  const system = built([['vessel:pond', 'stage:drum', 103.6]])
  expect(joinsFrom(system)).toEqual({ fed_from: 'stage:mat', join_bore_mm: '103.6' })
})

it('counts a drain to the outside for nothing, and a layer in a chamber for no place of its own', () => {
  expect(joinsFrom(built([['stage:mat', 'outside']])).fed_from).toBe('stage:mat')
  expect(joinsFrom(built([['stage:mat', 'vessel:pond']])).fed_from).toBe('stage:drum')
})

it('says nothing where all lead on, and then asks for no bore', () => {
  const system = built([
    ['stage:drum', 'stage:mat', 50],
    ['stage:mat', 'vessel:pond'],
  ])
  expect(joinsFrom(system)).toEqual({ fed_from: '', join_bore_mm: '50' })
  expect(joinFields(system, '').map((field) => field.key)).toEqual(['fed_from'])
  expect(joinFields(system, 'stage:mat').map((field) => field.key)).toEqual(['fed_from', 'join_bore_mm'])
})

it('offers vessels, stages and junctions to begin at, and no layer', () => {
  const system = built([], { junctions: [{ id: 'tee', name: 'Tee' }] })
  expect(joinFields(system, '')[0]!.choices!.map((choice) => choice.label)).toEqual([
    'nothing yet',
    'Pond',
    'Drum',
    'Mat',
    'Tee',
  ])
  expect(joinsFrom(system).fed_from).toBe('stage:mat')
})
