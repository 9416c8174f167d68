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
 * The key of what is booked is made once and kept until it is booked, so that sending again after a lost answer books
 * nothing twice. A page from which several things can be sent says of each which it is: each has a key of its own.
 */
export function useSend<T>(
  send: (input: T, key: string) => Promise<unknown>,
  done?: () => void,
  which: (input: T) => string = () => '',
) {
  const keys = new Map<string, string>()
  const keyOf = (input: T): string => {
    const key = keys.get(which(input)) ?? ulid()
    keys.set(which(input), key)
    return key
  }
  const shows = { fields: false, line: false }
  const mutation = useMutation({
    // What waits on this device is as good as booked here: the form is done with it.
    mutationFn: (input: T) => send(input, keyOf(input)).catch(orWaits),
    onSuccess: async (_answer, input) => {
      keys.delete(which(input))
      unbooked.value = null
      await refreshBook()
      done?.()
    },
    onError: (error, input) => {
      const { id, ...fields } = error instanceof Refusal ? error.errors : ({} as FieldErrors)
      // Something else is booked under it: sent again it is an entry of its own.
      if (id !== undefined) keys.delete(which(input))
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
