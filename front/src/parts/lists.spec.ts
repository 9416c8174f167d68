import { beforeEach, describe, expect, it } from 'vitest'
import { answers, dies } from '@testing/server'
import { known, settled, shown, system } from '@testing/shown'
import { queryClient } from '@/api/queries'
import StateMark from './StateMark.vue'
import SystemList from './SystemList.vue'
import SystemSwitch from './SystemSwitch.vue'

const three = [
  system('arrivals', { state: 'act', worst: 'Nitrite 0.8 mg/L' }),
  system('nursery'),
  system('cold-store', { state: null, asleep: true }),
]

beforeEach(() => queryClient.clear())

describe('the list of systems', () => {
  it('leads to the same page of each, and says the worst of it', async () => {
    known('systems', three)
    const page = await shown(SystemList, { at: '/nursery/water' })
    expect(page.findAll('a').map((one) => one.attributes('href'))).toEqual([
      '/arrivals/water',
      '/nursery/water',
      '/cold-store/water',
    ])
    expect(page.findAll('.worst').map((one) => one.text())).toEqual(['Nitrite 0.8 mg/L'])
    expect(page.findAll('.here .name').map((one) => one.text())).toEqual(['Nursery'])
  })

  it('narrows to a name as it is typed, and says where there is none', async () => {
    known('systems', three)
    const page = await shown(SystemList, { props: { filter: ' NURS ' } })
    expect(page.findAll('.name').map((one) => one.text())).toEqual(['Nursery'])
    await page.setProps({ filter: 'moon' })
    expect(page.text()).toContain('No system by that name.')
  })

  it('tells an empty yard from one that cannot be read', async () => {
    answers('GET /api/systems', [])
    expect((await shown(SystemList)).find('a').attributes('href')).toBe('/begin')
    queryClient.clear()
    answers('GET /api/systems', { message: 'The book is shut.' }, 503)
    const page = await shown(SystemList)
    expect(page.find('[role=alert]').text()).toBe('The book is shut.')
  })

  it('shows what it had when nothing answers any more', async () => {
    known('systems', three)
    dies('GET /api/systems')
    expect((await shown(SystemList)).findAll('li')).toHaveLength(3)
  })
})

it('goes to the same page of another system on a phone, or to the round', async () => {
  known('systems', three)
  const page = await shown(SystemSwitch, { at: '/nursery/water' })
  expect(page.findAll('option').map((one) => one.text())).toEqual([
    'Round',
    'Arrivals: act',
    'Nursery',
    'Cold-store',
  ])
  await page.find('select').setValue('arrivals')
  await settled()
  expect(page.router.currentRoute.value.fullPath).toBe('/arrivals/water')
  await page.find('select').setValue('')
  await settled()
  expect(page.router.currentRoute.value.fullPath).toBe('/')
})

describe('a state', () => {
  it.each([
    ['good', false, 'good'],
    ['watch', false, 'watch'],
    ['act', false, 'act'],
    ['emergency', false, 'emergency'],
    [null, false, 'not tested'],
    ['good', true, 'asleep'],
  ])('%s, asleep %s, is said in a word', async (state, asleep, word) => {
    expect((await shown(StateMark, { props: { state, asleep } })).text()).toBe(word)
  })

  it('has a shape of its own each, so that colour is never alone', async () => {
    const drawn = await Promise.all(
      ['good', 'watch', 'act', 'emergency', null].map(async (state) =>
        (await shown(StateMark, { props: { state, quiet: true } })).find('path').attributes('d'),
      ),
    )
    expect(new Set(drawn).size).toBe(5)
  })
})
