import { expect, test } from 'vitest'
import { loop } from '@testing/loop'
import { layOut } from './loopLayout'

test('parts stand in flow order, each past the last that feeds it', () => {
  const drawing = layOut(
    loop(
      [['bay', 3000]],
      ['a', 'b'],
      ['pump'],
      [
        ['v:bay>s:a', 100],
        ['s:a>s:b', 100],
        ['s:b>p:pump', 100],
        ['p:pump>v:bay', 100],
      ],
    ),
  )
  const x = Object.fromEntries(drawing.boxes.map((box) => [box.name, box.x]))
  expect(x.bay).toBeLessThan(x.a ?? 0)
  expect(x.a).toBeLessThan(x.b ?? 0)
  expect(x.b).toBeLessThan(x.pump ?? 0)
  expect(drawing.runs.filter((run) => run.back).map((run) => run.id)).toEqual(['p:pump>v:bay'])
})

test('no two parts lie on one another, in branches too, and all lie within the drawing', () => {
  const drawing = layOut(
    loop(
      [
        ['one', 3000],
        ['two', 3000],
        ['three', 500],
      ],
      ['a', 'b', 'c'],
      ['p1', 'p2'],
      [
        ['v:one>s:a', 100],
        ['v:two>s:a', 90],
        ['v:three>s:b', 30],
        ['s:a>p:p1', 190],
        ['s:b>p:p2', 30],
        ['p:p1>s:c', 190],
        ['p:p2>v:three', 30],
        ['s:c>v:one', 100],
        ['s:c>v:two', 90],
      ],
    ),
  )
  for (const [i, one] of drawing.boxes.entries()) {
    expect(one.x + one.width).toBeLessThanOrEqual(drawing.width)
    expect(one.y + one.height).toBeLessThanOrEqual(drawing.height)
    for (const other of drawing.boxes.slice(i + 1)) {
      const apart =
        one.x + one.width <= other.x ||
        other.x + other.width <= one.x ||
        one.y + one.height <= other.y ||
        other.y + other.height <= one.y
      expect(apart, `${one.name} and ${other.name}`).toBe(true)
    }
  }
})

test('lines are as thick as their flow, vessels as wide as their water, and what is shut or off shows', () => {
  const drawing = layOut(
    loop(
      [
        ['large', 8000],
        ['small', 500],
      ],
      ['a'],
      ['off'],
      [
        ['v:large>s:a', 200],
        ['v:small>s:a', 0, 0],
        ['s:a>p:off', 20],
        ['s:a>o:', 0, 0],
      ],
    ),
  )
  const run = Object.fromEntries(drawing.runs.map((r) => [r.id, r]))
  const box = Object.fromEntries(drawing.boxes.map((b) => [b.name, b]))
  expect(run['v:large>s:a']?.width).toBeGreaterThan(2 * (run['s:a>p:off']?.width ?? 0))
  expect(run['v:small>s:a']?.shut).toBe(true)
  expect(run['v:large>s:a']?.shut).toBe(false)
  expect(box.large?.width).toBeGreaterThan(box.small?.width ?? 0)
  expect(box.off?.off).toBe(true)
})

test('a system whose lines are not described yet still shows its stages in order', () => {
  const drawing = layOut(loop([['tub', 600]], ['sponge', 'bead'], [], []))
  expect(drawing.boxes.map((box) => box.x)).toEqual(
    [...drawing.boxes.map((box) => box.x)].sort((a, b) => a - b),
  )
  expect(drawing.runs).toEqual([])
})

test('lines that run in a ring do not hang the drawing', () => {
  const drawing = layOut(
    loop(
      [['bay', 1000]],
      ['a', 'b'],
      [],
      [
        ['v:bay>s:a', 10],
        ['s:a>s:b', 10],
        ['s:b>s:a', 10],
      ],
    ),
  )
  expect(drawing.boxes).toHaveLength(3)
})

test('lines that meet run through the point where they meet, and on from there', () => {
  const drawing = layOut(
    loop(
      [
        ['one', 3000],
        ['two', 3000],
      ],
      ['settlement'],
      ['pump'],
      [
        ['v:one>j:collector', 100],
        ['v:two>j:collector', 100],
        ['j:collector>s:settlement', 200],
        ['s:settlement>p:pump', 200],
        ['p:pump>j:manifold', 200],
        ['j:manifold>v:one', 100],
        ['j:manifold>v:two', 100],
      ],
    ),
  )
  const box = Object.fromEntries(drawing.boxes.map((one) => [one.name, one]))
  expect(box.collector?.kind).toBe('junction')
  expect(box.one?.x).toBeLessThan(box.collector?.x ?? 0)
  expect(box.collector?.x).toBeLessThan(box.settlement?.x ?? 0)
  expect(box.pump?.x).toBeLessThan(box.manifold?.x ?? 0)
  expect(drawing.runs).toHaveLength(7)
  expect(drawing.runs.filter((run) => run.back).map((run) => run.id)).toEqual([
    'j:manifold>v:one',
    'j:manifold>v:two',
  ])
  const width = (id: string) => drawing.runs.find((run) => run.id === id)?.width ?? 0
  expect(width('j:collector>s:settlement')).toBeGreaterThan(width('v:one>j:collector'))
})

test('returns come in from the left, one lane within the other, so that none crosses another', () => {
  const bays: [string, number][] = [
    ['one', 3000],
    ['two', 3000],
    ['three', 3000],
  ]
  const drawing = layOut(
    loop(
      bays,
      ['filter'],
      ['pump'],
      [
        ...bays.map(([bay]): [string, number] => [`v:${bay}>s:filter`, 100]),
        ['s:filter>p:pump', 300],
        ...bays.map(([bay]): [string, number] => [`p:pump>v:${bay}`, 100]),
      ],
    ),
  )
  const lanes = bays.map(([bay]) => {
    const way = drawing.runs.find((run) => run.id === `p:pump>v:${bay}`)?.d ?? ''
    const stops = way
      .slice(1)
      .split('L')
      .map((stop) => stop.split(' ').map(Number))
    const [under = 0, beside = 0, into = 0] = [stops[3]?.[1], stops[3]?.[0], stops[5]?.[1]]
    const box = drawing.boxes.find((one) => one.name === bay)
    expect(beside).toBeLessThan(box?.x ?? 0)
    expect(into).toBeGreaterThan(box?.y ?? 0)
    expect(into).toBeLessThan((box?.y ?? 0) + (box?.height ?? 0))
    return { under, beside }
  })
  // Whoever reaches higher runs further out on both sides: no lane meets another.
  expect(lanes.map((lane) => lane.under)).toEqual([...lanes.map((lane) => lane.under)].sort((a, b) => b - a))
  expect(lanes.map((lane) => lane.beside)).toEqual(
    [...lanes.map((lane) => lane.beside)].sort((a, b) => a - b),
  )
  expect(Math.min(...lanes.map((lane) => lane.under))).toBeGreaterThan(
    Math.max(...drawing.boxes.map((box) => box.y + box.height)),
  )
})

test('what is fed from above stands above, so that lines forward do not cross', () => {
  const drawing = layOut(
    loop(
      [
        ['upper', 1000],
        ['lower', 1000],
      ],
      ['of lower', 'of upper'],
      [],
      [
        ['v:upper>s:of upper', 10],
        ['v:lower>s:of lower', 10],
      ],
    ),
  )
  const y = (name: string) => drawing.boxes.find((box) => box.name === name)?.y ?? 0
  expect(y('of upper')).toBeLessThan(y('of lower'))
})

test('layers are drawn in their chamber, the upper ones on top, and take no place of their own', () => {
  const plumbing = loop([['bay', 1000]], ['settling', 'pads', 'bags', 'next'], [], [['v:bay>s:settling', 10]])
  const layered = {
    ...plumbing,
    stages: plumbing.stages.map((stage) =>
      ['pads', 'bags'].includes(stage.name) ? { ...stage, chamber_id: 'settling' } : stage,
    ),
  }
  const drawing = layOut(layered)
  const box = drawing.boxes.find((one) => one.name === 'settling')
  expect(drawing.boxes.map((one) => one.name)).not.toContain('pads')
  expect(box?.layers).toEqual(['bags', 'pads'])
  expect(box?.height).toBeGreaterThan(drawing.boxes.find((one) => one.name === 'next')?.height ?? 0)
})

test('on a narrow page the water goes down it, each column a row, and nothing stands wider than the page', () => {
  const bays = ['one', 'two', 'three', 'four', 'five'].map((name): [string, number] => [name, 3000])
  const drawing = layOut(
    loop(
      bays,
      ['filter'],
      ['pump'],
      [
        ...bays.map(([bay]): [string, number] => [`v:${bay}>j:collector`, 100]),
        ['j:collector>s:filter', 500],
        ['s:filter>p:pump', 500],
        ...bays.map(([bay]): [string, number] => [`p:pump>v:${bay}`, 100]),
      ],
    ),
    356,
  )
  const box = Object.fromEntries(drawing.boxes.map((one) => [one.name, one]))
  expect(drawing.width).toBeLessThanOrEqual(390)
  expect(box.one?.y).toBe(box.five?.y)
  expect(box.collector?.y).toBeGreaterThan(box.one?.y ?? 0)
  expect(box.filter?.y).toBeGreaterThan(box.collector?.y ?? 0)
  expect(box.pump?.y).toBeGreaterThan(box.filter?.y ?? 0)
  expect(Math.max(...drawing.boxes.map((one) => one.x + one.width))).toBeLessThan(drawing.width)
})
