import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { palettes } from './tokens'

it('has the very colours that a page of a fault is given, which can read nothing of the front', () => {
  const page = readFileSync('resources/views/fault.html', 'utf8')
  const told = [...page.matchAll(/:root \{ (.*?) \}/g)].map(([, one = '']) =>
    Object.fromEntries([...one.matchAll(/--(\w+): (#\w+)/g)].map(([, name, colour]) => [name, colour])),
  )
  expect(told).toHaveLength(2)
  for (const [i, palette] of [palettes.day, palettes.night].entries()) expect(palette).toMatchObject(told[i]!)
})
