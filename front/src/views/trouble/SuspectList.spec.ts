import { expect, it } from 'vitest'
import { settled, shown } from '@testing/shown'
import SuspectList from './SuspectList.vue'

const suspect = (id: string, points: number, page: string) => ({
  id,
  name: `Cause ${id}`,
  word: points > 5 ? 'likely' : 'possible',
  points,
  for: [{ text: `for ${id}` }],
  against: [{ text: `against ${id}` }],
  decides: `Test ${id}.`,
  page,
})
const five = ['test', 'shelf', 'service', 'water', 'look'].map((page, i) =>
  suspect(String(i), 9 - 2 * i, page),
)

it('shows the first three with what speaks for and against each, the others when asked', async () => {
  const page = await shown(SuspectList, { props: { system: { slug: 'vat' }, suspects: five } })
  expect(page.findAll('li').map((one) => one.attributes('aria-label'))).toEqual([
    'Cause 0',
    'Cause 1',
    'Cause 2',
  ])
  expect(page.find('li').text()).toContain('likely, 9 points')
  expect(page.find('[aria-label="against it"]').element.parentElement!.textContent).toContain('against 0')
  expect(page.find('button').text()).toBe('2 more, less likely')
  await page.find('button').trigger('click')
  await settled()
  expect(page.findAll('li')).toHaveLength(5)
  expect(page.find('button').exists()).toBe(false)
  expect(page.findAll('li').at(-1)!.text()).toContain('possible, 1 point')
})

it('leads to the page where its test is done, by the name that the page has everywhere', async () => {
  const page = await shown(SuspectList, { props: { system: { slug: 'vat' }, suspects: five.slice(0, 3) } })
  expect(page.findAll('a').map((one) => [one.text(), one.attributes('href')])).toEqual([
    ['Test', '/vat/test'],
    ['Shelf', '/shelf'],
    ['Service', '/vat/service'],
  ])
})
