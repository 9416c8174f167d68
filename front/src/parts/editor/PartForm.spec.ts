import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { reactive, ref } from 'vue'
import PartForm, { type PartField } from './PartForm.vue'
import PartList from './PartList.vue'
import type { EditedPart } from './usePart'

function form(fields: PartField[], more: object = {}, props: object = {}) {
  const part = {
    form: reactive<Record<string, string | null>>({ name: 'Bay', shape: 'box', bore_mm: '50' }),
    theirs: ref({}),
    errors: ref({}),
    trouble: ref(null),
    fresh: ref(false),
    open: ref<string | null>('V1'),
    save: { isPending: ref(false) },
    remove: { mutate: vi.fn() },
    retire: { mutate: vi.fn() },
    copy: vi.fn(),
    ...more,
  }
  const page = mount(PartForm, { props: { part: part as unknown as EditedPart, fields, ...props } })
  const button = (name: string) => page.findAll('button').find((one) => one.text() === name)
  return { page, part, button }
}
const FIELDS: PartField[] = [
  { key: 'name', label: 'Name', words: true },
  {
    key: 'shape',
    label: 'Shape',
    choices: [
      { value: 'box', label: 'a box' },
      { value: 'round', label: 'round' },
    ],
  },
  { key: 'bore_mm', label: 'Bore', hint: 'inside', more: true },
]

describe('a part that is edited', () => {
  it('keeps in its form what is typed, and is saved when asked', async () => {
    const { page, part } = form(FIELDS)
    await page.find('input').setValue('Long bay')
    await page.find('select').setValue('round')
    expect(part.form).toMatchObject({ name: 'Long bay', shape: 'round' })
    await page.find('form').trigger('submit')
    expect(page.emitted('save')).toHaveLength(1)
  })

  it('folds away what is rarely needed, until that is at fault', () => {
    expect(form(FIELDS).page.find('details').attributes('open')).toBeUndefined()
    const { page } = form(FIELDS, { errors: ref({ bore_mm: 'Too narrow.' }) })
    expect(page.find('details').attributes('open')).toBeDefined()
    expect(page.find('details [role=alert]').text()).toBe('Too narrow.')
    expect(form(FIELDS.slice(0, 2)).page.find('details').exists()).toBe(false)
  })

  it('shows beside what is typed what somebody else saved, where the two differ', () => {
    const { page } = form(FIELDS, { theirs: ref({ name: 'Bay', shape: 'round', bore_mm: null }) })
    expect(page.findAll('.field').map((one) => one.find('p').exists() && one.find('p').text())).toEqual([
      false,
      'theirs: round',
      'theirs: empty',
    ])
  })

  it('offers to copy, retire and remove only what is in the book', async () => {
    const fresh = form(FIELDS, { fresh: ref(true) }, { retires: true })
    expect(['Copy it', 'Retire', 'Remove'].map(fresh.button)).toEqual([undefined, undefined, undefined])
    const { part, button } = form(FIELDS, {}, { retires: true })
    await button('Retire')!.trigger('click')
    await button('Remove')!.trigger('click')
    expect(part.retire.mutate).toHaveBeenCalledWith('V1')
    expect(part.remove.mutate).toHaveBeenCalledWith('V1')
    expect(form(FIELDS).button('Retire')).toBeUndefined()
    await button('Cancel')!.trigger('click')
    expect(part.open.value).toBeNull()
  })

  it('says in a line what has no field', () => {
    const { page } = form(FIELDS, { trouble: ref('It was removed meanwhile.') })
    expect(page.find('[role=alert]').text()).toBe('It was removed meanwhile.')
  })
})

describe('the parts of a kind', () => {
  const list = (
    open: string | null,
    writes = true,
    parts = [
      { id: 'A', name: 'Bay' },
      { id: 'B', name: 'Tub' },
    ],
  ) =>
    mount(PartList, {
      props: { title: 'Vessels', add: 'Add a vessel', empty: 'No vessel yet.', parts, open, writes },
      slots: { form: '<form />', line: 'line', figure: 'figure' },
    })

  it('opens the form in the line of the part, or at the end for a fresh one', () => {
    const at = (open: string | null) => {
      const page = list(open)
      return [page.findAll('li').findIndex((one) => one.find('form').exists()), page.findAll('form').length]
    }
    expect(at(null)).toEqual([-1, 0])
    expect(at('B')).toEqual([1, 1])
    expect(at('NEW')).toEqual([-1, 1])
  })

  it('names the part that a press would change, and shows no press to whoever only reads', async () => {
    const page = list(null)
    await page.find('[aria-label="Change Tub"]').trigger('click')
    expect(page.emitted('edit')).toEqual([[{ id: 'B', name: 'Tub' }]])
    expect(list(null, false).findAll('button')).toEqual([])
    expect(list(null, true, []).text()).toContain('No vessel yet.')
  })
})
