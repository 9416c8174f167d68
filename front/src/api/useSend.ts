import { useMutation } from '@tanstack/vue-query'
import { ulid } from 'ulid'
import { computed } from 'vue'
import { orWaits, Refusal } from './client'
import { refreshBook } from './queries'
import type { FieldErrors } from './types'
import { unbooked } from './unbooked'

/**
 * Sends what a form holds: what the server refuses stands at its fields, what else goes wrong in one line. A page that
 * shows neither need not: what it does not show is said above it, so that no press does nothing in silence.
 *
 * The key of what is booked is made once for each thing that is sent and kept until it is booked, so that sending it
 * again after a lost answer books nothing twice, and two things at once are two.
 */
export function useSend<T>(send: (input: T, key: string) => Promise<unknown>, done?: () => void) {
  const keys = new Map<string, string>()
  const sign = (input: T) => JSON.stringify(input) ?? ''
  const keyOf = (input: T): string => {
    const key = keys.get(sign(input)) ?? ulid()
    keys.set(sign(input), key)
    return key
  }
  const shows = { fields: false, line: false }
  const mutation = useMutation({
    // What waits on this device is as good as booked here: the form is done with it.
    mutationFn: (input: T) => send(input, keyOf(input)).catch(orWaits),
    onSuccess: async (_answer, input) => {
      keys.delete(sign(input))
      unbooked.value = null
      await refreshBook()
      done?.()
    },
    onError: (error, input) => {
      const { id, ...fields } = error instanceof Refusal ? error.errors : ({} as FieldErrors)
      // Something else is booked under it: sent again it is an entry of its own.
      if (id !== undefined) keys.delete(sign(input))
      const said = Object.values(fields)
      if (said.length > 0 ? !shows.fields : !shows.line)
        unbooked.value = said.length > 0 ? said.join(' ') : (id ?? error.message)
    },
  })
  const errors = computed<FieldErrors>(() =>
    mutation.error.value instanceof Refusal ? mutation.error.value.errors : {},
  )
  const trouble = computed(() =>
    mutation.error.value && Object.keys(errors.value).length === 0
      ? mutation.error.value.message
      : (errors.value.id ?? null),
  )
  return {
    send: mutation.mutate,
    pending: mutation.isPending,
    done: mutation.isSuccess,
    reset: mutation.reset,
    // Whoever asks for them shows them.
    get errors() {
      shows.fields = true
      return errors
    },
    get trouble() {
      shows.line = true
      return trouble
    },
  }
}
