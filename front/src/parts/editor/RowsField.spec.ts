import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import RowsField from './RowsField.vue'

const curve = [
  { key: 'flow_l_h', label: 'Flow, L/h' },
  { key: 'head_m', label: 'Head, m' },
]
const rows = [
  { flow_l_h: '0', head_m: '5' },
  { flow_l_h: '8000', head_m: '3' },
]
const field = (more: Record<string, unknown> = {}) =>
  mount(RowsField, {
    props: {
      legend: 'Curve',
      name: 'curve',
      columns: curve,
      errors: {},
      fewest: 2,
      add: 'Another',
      rows,
      ...more,
    },
  })

test('what somebody else saved meanwhile stands beside the rows, row by row', () => {
  const theirs = [rows[0], { flow_l_h: '8000', head_m: '3.5' }]

  expect(field({ theirs }).text()).toContain('theirs: 0 at 5; 8000 at 3.5')
})

test('nothing stands there where both are the same, but for rows that were left empty', () => {
  const typed = [...rows, { flow_l_h: '', head_m: '' }]

  expect(field({ rows: typed, theirs: rows }).text()).not.toContain('theirs')
  expect(field().text()).not.toContain('theirs')
})

test('rows they have taken out are said to be gone', () => {
  expect(field({ theirs: [] }).text()).toContain('theirs: empty')
})

test('a choice is said by its label', () => {
  const columns = [{ key: 'id', label: 'Fitting', choices: [{ value: 'bend_90', label: 'a bend' }] }]

  expect(field({ columns, rows: [{ id: '' }], theirs: [{ id: 'bend_90' }] }).text()).toContain(
    'theirs: a bend',
  )
})

test('a fault stands in the row it is of', () => {
  const shown = field({ errors: { 'curve.1.head_m': 'It falls as the flow rises.' } })

  expect(shown.findAll('.row')[1]?.text()).toContain('It falls as the flow rises.')
  expect(shown.findAll('.row')[0]?.text()).not.toContain('It falls')
})

test('no fewer rows are left than are needed', async () => {
  expect(field().findAll('[aria-label^="Take row"]')).toHaveLength(0)
  expect(field({ fewest: 1 }).findAll('[aria-label^="Take row"]')).toHaveLength(2)
})
