import { expect, it } from 'vitest'
import { queryClient, refreshBook } from '@/api/queries'

it('asks anew for whatever a booking can have changed, and not for what lasts', async () => {
  const told = ['card', 'quarantine', 'incidents', 'systems', 'score']
  const lasting = ['session', 'vocabulary', 'working']
  for (const key of [...told, ...lasting]) queryClient.setQueryData([key, 'press-room'], {})
  await refreshBook()
  const old = (key: string) => queryClient.getQueryState([key, 'press-room'])?.isInvalidated
  expect(told.filter((key) => !old(key))).toEqual([])
  expect(lasting.filter(old)).toEqual([])
  queryClient.clear()
})
