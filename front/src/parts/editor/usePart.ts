import { useMutation } from '@tanstack/vue-query'
import { ulid } from 'ulid'
import { computed, nextTick, reactive, ref } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook } from '@/api/queries'
import type { FieldErrors } from '@/api/types'

export type PartKind = 'vessels' | 'stages' | 'pumps' | 'junctions' | 'lines' | 'outlets' | 'fish'
export type Typed = Record<string, string | null>
/** Rows of the same fields, as points of a curve: each as it is typed. */
export type TypedRows = Record<string, string>[]

/**
 * Editing one kind of part: which one is open, what is typed for it, saving and removing.
 *
 * A new part gets its key here, so that saving twice makes one part.
 */
export function usePart<Part extends { id: string; version: string }>(
  slug: () => string,
  kind: PartKind,
  blank: () => Typed,
  parts: () => Part[],
  /** A saved part as it is typed. */
  typed: (part: Part) => Typed,
  /** Its rows as they are typed, where it has any. */
  rows: (part: Part) => TypedRows = () => [],
) {
  const open = ref<string | null>(null)
  const form = reactive<Typed>({})
  const seen = ref<string>()
  /** What somebody else has saved meanwhile, by field, where that stops a save. */
  const theirs = ref<Typed>({})
  const theirRows = ref<TypedRows>()
  const version = () => parts().find((part) => part.id === open.value)?.version

  function edit(part: Part | null): void {
    for (const key of Object.keys(form)) delete form[key]
    Object.assign(form, blank(), part ? typed(part) : {})
    open.value = part?.id ?? ulid()
    seen.value = version()
    theirs.value = {}
    theirRows.value = undefined
    save.reset()
    remove.reset()
    retire.reset()
  }

  /** What is open, once more as something new: only what differs is typed. */
  function copy(): void {
    open.value = ulid()
    seen.value = undefined
    form.name = nextName(
      form.name ?? '',
      parts().map((part) => (part as { name?: string }).name ?? ''),
    )
    save.reset()
  }

  const path = () => ({ params: { path: { system: slug(), id: open.value ?? '' } } })

  const save = useMutation({
    mutationFn: (extra: Record<string, unknown>) => {
      const body = { ...form, ...extra, version: undefined, seen: seen.value }
      if (kind === 'vessels')
        return answer(() => api.PUT('/api/systems/{system}/vessels/{id}', { ...path(), body }))
      if (kind === 'stages')
        return answer(() => api.PUT('/api/systems/{system}/stages/{id}', { ...path(), body }))
      if (kind === 'pumps')
        return answer(() => api.PUT('/api/systems/{system}/pumps/{id}', { ...path(), body }))
      if (kind === 'junctions')
        return answer(() => api.PUT('/api/systems/{system}/junctions/{id}', { ...path(), body }))
      if (kind === 'outlets')
        return answer(() => api.PUT('/api/systems/{system}/outlets/{id}', { ...path(), body }))
      if (kind === 'lines')
        return answer(() => api.PUT('/api/systems/{system}/lines/{id}', { ...path(), body }))
      return answer(() => api.PUT('/api/systems/{system}/fish/{id}', { ...path(), body }))
    },
    onSuccess: async () => {
      await refreshBook()
      open.value = null
    },
    // Told once that somebody else saved meanwhile, saving again is a decision and goes through.
    onError: async (error) => {
      if (!(error instanceof Refusal) || !error.errors.seen) return
      await refreshBook()
      await nextTick()
      seen.value = version()
      const stored = parts().find((part) => part.id === open.value)
      theirs.value = stored ? { ...blank(), ...typed(stored) } : {}
      theirRows.value = stored && rows(stored)
    },
  })

  const remove = useMutation({
    mutationFn: (id: string) =>
      answer(() =>
        api.DELETE('/api/systems/{system}/{kind}/{id}', { params: { path: { system: slug(), kind, id } } }),
      ),
    onSuccess: async () => {
      await refreshBook()
      open.value = null
    },
  })

  const retire = useMutation({
    mutationFn: (id: string) => setRetired(slug(), kind as 'vessels' | 'stages' | 'pumps', id, true),
    onSuccess: () => {
      open.value = null
    },
  })

  const errors = computed<FieldErrors>(() =>
    save.error.value instanceof Refusal ? save.error.value.errors : {},
  )
  const trouble = computed(() => {
    const gone = remove.error.value ?? retire.error.value
    if (gone) return gone instanceof Refusal ? (gone.errors.id ?? gone.message) : gone.message
    return (
      errors.value.seen ??
      (save.error.value && Object.keys(errors.value).length === 0 ? save.error.value.message : null)
    )
  })

  /** Whether what is open was never saved. */
  const fresh = computed(() => !parts().some((part) => part.id === open.value))

  return { open, form, theirs, theirRows, fresh, edit, copy, save, remove, retire, errors, trouble }
}

/** The name after one that is taken: Bay 2 after Bay 1, Sump 2 after Sump. */
export function nextName(name: string, taken: string[]): string {
  if (name === '') return ''
  const [, stem, number] = /^(.*?)\s*(\d{0,3})$/.exec(name) ?? ['', name, '']
  for (let n = Number(number || 1) + 1; ; n++) {
    const next = `${stem} ${n}`.trim()
    if (!taken.includes(next)) return next
  }
}

/** What the form shows of it, whatever kind of part it is. */
export type EditedPart = Omit<ReturnType<typeof usePart>, 'edit'>

/** Takes a part out of service, or back in. */
export async function setRetired(
  system: string,
  kind: 'vessels' | 'stages' | 'pumps',
  id: string,
  retired: boolean,
): Promise<void> {
  await answer(() =>
    api.PUT('/api/systems/{system}/{kind}/{id}/retired', {
      params: { path: { system, kind, id } },
      body: { retired },
    }),
  )
  await refreshBook()
}

/** Numbers of a saved part as text to type over. */
export const asTyped = (values: Record<string, unknown>): Typed =>
  Object.fromEntries(
    Object.entries(values).map(([key, value]) => [
      key,
      value === null || value === undefined ? null : String(value),
    ]),
  )
