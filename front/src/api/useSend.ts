import { useMutation } from '@tanstack/vue-query'
import { ulid } from 'ulid'
import { computed } from 'vue'
import { orWaits, Refusal } from './client'
import { refreshBook } from './queries'
import type { FieldErrors } from './types'

/**
 * Sends what a form holds: what the server refuses stands at its fields, what else goes wrong in one line.
 *
 * The key of what is booked is made once and kept until it is booked, so that sending again after a lost answer books
 * nothing twice.
 */
export function useSend<T>(send: (input: T, key: string) => Promise<unknown>, done?: () => void) {
  let key = ulid()
  const mutation = useMutation({
    // What waits on this device is as good as booked here: the form is done with it.
    mutationFn: (input: T) => send(input, key).catch(orWaits),
    onSuccess: async () => {
      key = ulid()
      await refreshBook()
      done?.()
    },
    // Something else is booked under it: sent again it is an entry of its own.
    onError: (error) => {
      if (error instanceof Refusal && error.errors.id !== undefined) key = ulid()
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
    errors,
    trouble,
  }
}
