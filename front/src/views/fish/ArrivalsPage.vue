<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { computed, reactive } from 'vue'
import { useBag } from '@/api/queries'
import type { System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'
import { figures } from '@/units/number'

const props = defineProps<{ system: System }>()
const FIELDS = [
  { key: 'litres', label: 'Water in the bag', unit: 'L' },
  { key: 'kg', label: 'Fish in it', unit: 'kg' },
  { key: 'hours', label: 'Closed for', unit: 'h' },
  { key: 'temp_c', label: 'Temperature', unit: '°C' },
  { key: 'ph', label: 'pH', unit: null },
  { key: 'tan_mg_l', label: 'Ammonia', unit: 'mg/L as N' },
  { key: 'kh', label: 'KH', unit: 'dKH' },
  { key: 'salinity_g_l', label: 'Salt', unit: 'g/L' },
  { key: 'no3_mg_l', label: 'Nitrate', unit: 'mg/L as NO₃' },
  { key: 'drip_l_min', label: 'My drip', unit: 'L/min' },
] as const
const typed = reactive<Record<string, string>>(Object.fromEntries(FIELDS.map(({ key }) => [key, ''])))
const asked = useDebounce(
  computed(() => Object.fromEntries(Object.entries(typed).filter(([, value]) => value.trim() !== ''))),
  300,
)
const query = useBag(() => props.system.slug, asked)
const bag = computed(() => query.data.value)
const told = computed(() => Object.keys(asked.value).length > 0)
</script>

<!-- A bag at the door: what opening it does, and how the fish get from their water into this one. -->
<template>
  <p v-if="query.isError.value && !bag" class="fault" role="alert">{{ query.error.value?.message }}</p>
  <p v-else-if="!bag" class="soft">Opening …</p>
  <template v-else>
    <p>
      Float the bag closed while you fill this in. What you measure counts; pH and ammonia that were not
      measured are reckoned from the fish and the hours.
    </p>
    <form class="fields" novalidate @submit.prevent>
      <TypedField
        v-for="field in FIELDS"
        :key="field.key"
        v-model="typed[field.key]!"
        :label="field.label"
        :unit="field.unit"
        :error="bag.errors[field.key]"
      />
    </form>
    <section v-if="bag.bag" class="part" aria-label="Opening it">
      <h2>Opening it</h2>
      <p v-for="one in bag.cautions" :key="one.code" :class="{ caution: one.level === 'danger' }">
        {{ one.text }}
      </p>
      <p v-if="bag.reckoned && (!asked.ph || !asked.tan_mg_l)" class="soft small">
        Assumed from the fish and the hours, on the safe side:
        <template v-if="!asked.tan_mg_l">ammonia {{ figures(bag.reckoned.tan_mg_l, 2) }} mg/L as N</template
        ><template v-if="!asked.tan_mg_l && !asked.ph">, </template
        ><template v-if="!asked.ph">pH {{ figures(bag.reckoned.ph, 2) }}</template
        >. Measure them.
      </p>
      <dl class="numbers">
        <div>
          <dt>Carbon dioxide in it</dt>
          <dd>
            <b>{{ figures(bag.bag.co2_mg_l, 2) }}</b> <span class="soft small">mg/L</span>
          </dd>
        </div>
        <div>
          <dt>pH, aired</dt>
          <dd>
            <b>{{ figures(bag.bag.ph_aired, 3) }}</b>
          </dd>
        </div>
        <div>
          <dt>Un-ionised ammonia, closed</dt>
          <dd>
            <b>{{ figures(bag.bag.nh3_in_bag_mg_l, 2) }}</b> <span class="soft small">mg/L as N</span>
          </dd>
        </div>
        <div>
          <dt>and aired</dt>
          <dd>
            <b>{{ figures(bag.bag.nh3_aired_mg_l, 2) }}</b> <span class="soft small">mg/L as N</span>
          </dd>
        </div>
      </dl>
    </section>
    <section v-if="bag.drip" class="part" aria-label="Into this water">
      <h2>Into this water</h2>
      <p v-for="one in bag.drip.cautions" :key="one.code" :class="{ caution: one.level !== 'note' }">
        {{ one.text }}
      </p>
      <dl v-if="bag.drip.minutes?.value" class="numbers">
        <div v-for="figure in [bag.drip.drip_l_min, bag.drip.minutes, bag.drip.added_l]" :key="figure?.label">
          <template v-if="figure">
            <dt>{{ figure.label }}</dt>
            <dd><FigureButton :figure="figure" big /></dd>
          </template>
        </div>
      </dl>
      <p v-if="bag.drip.limiting" class="soft small">{{ bag.drip.limiting }} is farthest apart.</p>
    </section>
    <p v-else-if="told && !bag.turns" class="soft">
      Give the litres of the bag and what was measured in it, and test this system, to compare the two waters.
    </p>
  </template>
</template>
