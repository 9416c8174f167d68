import { useDebounce, useSessionStorage } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useSession, useWater } from '@/api/queries'
import type { WaterPage } from '@/api/types'

const EMPTY = {
  water: '',
  body: '',
  change_l: '',
  change_pct: '',
  level_cm: '',
  meter_before: '',
  meter_after: '',
  fill_l_min: '',
  goal: 'no3_n_mg_l',
  target: '',
  max_change_pct: '',
  steps_per_day: '',
  delivery: 'hose',
  bucket_l: '',
  vat_l: '',
  pct_per_week: '',
  flow_l_h: '',
  jug_l: '',
  jug_s: '',
  trickle_meter_before: '',
  trickle_meter_after: '',
  trickle_meter_h: '',
  price_m3: '',
}

/** One amount at a time. */
const AMOUNTS = { change_l: '', change_pct: '', level_cm: '', meter_before: '', meter_after: '' }

/** What is typed about the water of one system, kept while its pages are walked through, and what it comes to. */
export function useWaterForm(
  slug: () => string,
  /** What is proposed as long as no amount is typed. */
  proposed: (
    page: WaterPage | undefined,
    form: Record<string, string>,
  ) => Record<string, string> = () => ({}),
) {
  const form = useSessionStorage(`water-${slug()}`, { ...EMPTY }, { mergeDefaults: true })
  // What another page has filled in, as the change that an answer asks for.
  const { query } = useRoute()
  for (const key of Object.keys(EMPTY) as (keyof typeof EMPTY)[])
    if (typeof query[key] === 'string') form.value = { ...form.value, ...AMOUNTS, [key]: query[key] }
  const page = shallowRef<WaterPage>()
  const typed = computed(() =>
    (Object.keys(AMOUNTS) as (keyof typeof AMOUNTS)[]).some((key) => form.value[key].trim() !== ''),
  )
  const asked = useDebounce(
    computed(() =>
      Object.fromEntries(
        Object.entries({ ...form.value, ...(typed.value ? {} : proposed(page.value, form.value)) }).filter(
          ([, text]) => text.trim() !== '',
        ),
      ),
    ),
    250,
  )
  const water = useWater(slug, asked)
  const session = useSession()
  watch(water.data, (answer) => (page.value = answer), { immediate: true })
  return {
    form,
    typed,
    water,
    page,
    writes: computed(() => session.data.value?.person?.writes ?? false),
    errors: computed<Record<string, string>>(() => page.value?.errors ?? {}),
    chosen: computed({
      get: () => form.value.water || page.value?.water || '',
      set: (id: string) => (form.value.water = id),
    }),
    clear: (...keys: (keyof typeof EMPTY)[]) => keys.forEach((key) => (form.value[key] = EMPTY[key])),
  }
}

export const whole = (value: number) =>
  new Intl.NumberFormat('en-GB', { maximumFractionDigits: value < 10 ? 1 : 0 }).format(value)
