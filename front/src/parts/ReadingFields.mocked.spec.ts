import { type DOMWrapper, flushPromises, mount } from '@vue/test-utils'
import { ref } from 'vue'
import { expect, it, vi } from 'vitest'
import ReadingFields from './ReadingFields.vue'

vi.mock('@/api/queries', () => ({
  queryClient: { getQueryData: () => undefined },
  useVocabulary: () => ({
    data: ref({
      parameters: [
        { id: 'ph', name: 'pH', code: 'ph', symbol: null, units: [] },
        {
          id: 'no3_n_mg_l',
          name: 'Nitrate',
          code: 'na',
          symbol: 'mg/L as NO₃',
          units: [{ id: 'mg_l_no3', symbol: 'mg/L as NO₃' }],
        },
      ],
    }),
  }),
}))

it('keeps readings with their unit, forgets what is rubbed out, tells faults at their field', async () => {
  const fields = mount(ReadingFields, {
    props: {
      keys: ['no3_n_mg_l', 'ph'],
      modelValue: {},
      errors: { 'readings.ph': 'pH cannot be 78.' },
      'onUpdate:modelValue': (value) => fields.setProps({ modelValue: value }),
    },
  })
  const [nitrate, ph] = fields.findAll('input') as [
    DOMWrapper<HTMLInputElement>,
    DOMWrapper<HTMLInputElement>,
  ]
  await nitrate.setValue('30')
  await ph.setValue('7.9')
  await flushPromises()
  expect(fields.props('modelValue')).toEqual({
    no3_n_mg_l: { typed: '30', unit: 'mg_l_no3' },
    ph: { typed: '7.9', unit: null },
  })
  await nitrate.setValue(' ')
  expect(Object.keys(fields.props('modelValue'))).toEqual(['ph'])
  expect(fields.find('[role=alert]').text()).toBe('pH cannot be 78.')
  expect(fields.findAll('label').map((one) => one.text())).toEqual(['Nitrate mg/L as NO₃', 'pH'])
})
