import { expect, it } from 'vitest'
import { unbooked } from '@/api/unbooked'
import { settled, shown } from '@testing/shown'
import NotBooked from './NotBooked.vue'

it('says why the last press booked nothing, until it is seen or one goes on', async () => {
  unbooked.value = null
  const page = await shown(NotBooked, { at: '/' })
  expect(page.find('[role=alert]').exists()).toBe(false)
  unbooked.value = 'The pump is on already.'
  await settled()
  expect(page.find('[role=alert]').text()).toContain('Not booked: The pump is on already.')
  await page.find('button').trigger('click')
  expect(unbooked.value).toBeNull()

  unbooked.value = 'The pump is on already.'
  await page.router.push('/shelf')
  await settled()
  expect(page.find('[role=alert]').exists()).toBe(false)
})
