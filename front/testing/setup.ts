import { afterEach } from 'vitest'
import { shut } from './pages'
import { forget } from './server'

// Before anything of the front is read, since it keeps the fetch that it finds.
afterEach(() => {
  shut()
  forget()
})
