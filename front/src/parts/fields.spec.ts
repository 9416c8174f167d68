import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { signedIn } from '@testing/shown'
import DoneAnyway from './DoneAnyway.vue'
import PickField from './PickField.vue'
import TypedField from './TypedField.vue'

beforeEach(() => signedIn())

/** The message that a field is described by, found as a screen reader finds it. */
const described = (page: ReturnType<typeof mount>, of: string) => {
  const by = page.find(of).attributes('aria-describedby')
  return by === undefined ? null : page.find(`[id="${by}"]`).text()
}

describe('a field to type in', () => {
  const field = (more: object = {}) =>
    mount(TypedField, { props: { label: 'Volume', unit: 'L', modelValue: '1200', ...more } })

  it('is found by its label, with its unit, and takes a comma as typed', async () => {
    const page = field()
    expect(page.find('label').attributes('for')).toBe(page.find('input').attributes('id'))
    expect(page.find('label').text()).toBe('Volume L')
    expect(page.find('input').attributes('inputmode')).toBe('decimal')
    await page.find('input').setValue('1,5')
    expect(page.emitted('update:modelValue')).toEqual([['1,5']])
  })

  it('is described by what is wrong with it, and by a hint only while nothing is', () => {
    expect(described(field({ error: 'Too much.', hint: 'by meter' }), 'input')).toBe('Too much.')
    expect(field({ error: 'Too much.', hint: 'by meter' }).text()).not.toContain('by meter')
    expect(described(field({ hint: 'by meter' }), 'input')).toBeNull()
    expect(field({ hint: 'by meter' }).text()).toContain('by meter')
  })

  it('shows and sends the unit that was chosen, words and days as they are', async () => {
    signedIn(true, { L: { symbol: 'US gal', factor: 1 / 3.785411784, offset: 0 } })
    const page = field()
    expect((page.find('input').element as HTMLInputElement).value).toBe('317')
    await page.find('input').setValue('300')
    expect(page.emitted('update:modelValue')).toEqual([['300 US gal']])
    expect(field({ unit: null, day: true }).find('input').attributes('type')).toBe('date')
    expect(field({ unit: null, words: true }).find('input').attributes('maxlength')).toBe('200')
  })
})

describe('a list to choose from', () => {
  const choices = [
    { value: 'tap', label: 'Tap' },
    { value: 'well', label: 'Well' },
  ]

  it('gives the value and not its words, and is marked where it is at fault', async () => {
    const page = mount(PickField, {
      props: { label: 'Water', choices, modelValue: 'tap', error: 'Not that.' },
    })
    expect(page.find('select').attributes('aria-invalid')).toBe('true')
    expect(described(page, 'select')).toBe('Not that.')
    await page.find('select').setValue('well')
    expect(page.emitted('update:modelValue')).toEqual([['well']])
  })
})

describe('the ways past a refusal', () => {
  const ways = (errors: Record<string, string>, more: object = {}) =>
    mount(DoneAnyway, { props: { errors, again: 'It is another', ...more } })

  it.each([
    [{}, {}, []],
    [{ again: 'Ann gave it just now.' }, {}, ['It is another']],
    [{ dose: 'Too much.' }, { refused: 'dose' }, []],
    [{ dose: 'Too much.' }, { refused: 'dose', already: 'It is in already' }, ['It is in already']],
    [{ other: 'No.' }, { refused: 'dose', already: 'It is in already' }, []],
  ])('are offered where they fit: %o %o', (errors, more, buttons) => {
    expect(
      ways(errors as Record<string, string>, more)
        .findAll('button')
        .map((one) => one.text()),
    ).toEqual(buttons)
  })

  it('say which of the two was taken', async () => {
    const page = ways({ again: 'Ann did.', dose: 'No.' }, { refused: 'dose', already: 'It is in' })
    const [again, done] = page.findAll('button')
    await again!.trigger('click')
    expect(page.emitted()).toHaveProperty('again')
    expect(page.emitted()).not.toHaveProperty('done')
    await done!.trigger('click')
    expect(page.emitted('done')).toHaveLength(1)
  })
})
