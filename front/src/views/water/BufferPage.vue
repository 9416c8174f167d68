<script setup lang="ts">
import { computed } from 'vue'
import type { System } from '@/api/types'
import TodayHere from '@/parts/answer/TodayHere.vue'
import { useToday } from '@/parts/answer/useToday'
import BenchForm from '@/parts/BenchForm.vue'
import StateMark from '@/parts/StateMark.vue'

const props = defineProps<{ system: System }>()
const KEYS = ['alkalinity_mg_l', 'hardness_mg_l', 'ph']
const NAMES: Record<string, string> = { alkalinity_mg_l: 'KH', hardness_mg_l: 'GH', ph: 'pH' }
const today = useToday(() => props.system.slug, ['dose', 'buffer'])
/** Of what the readings ask for, what goes into the water for its minerals. */
const steps = computed(() =>
  today.steps.value.filter((step) => step.page === 'buffer' || step.fill.thing === 'bicarbonate'),
)
const watched = computed(() => today.watched.value.filter((one) => KEYS.includes(one.parameter)))
const known = computed(() =>
  KEYS.map((key) => ({
    key,
    name: NAMES[key],
    strip: props.system.water.strips.find((strip) => strip.parameter === key),
  })),
)
const untested = computed(() => known.value.filter((row) => !row.strip))
</script>

<template>
  <TodayHere :slug="system.slug" :steps="steps" :causes="today.causes.value" :fault="today.fault.value">
    <p v-if="today.ready.value && !watched.length" class="deed">
      {{
        untested.length
          ? `${untested.map((row) => row.name).join(', ')} not tested. Test before dosing anything.`
          : 'Nothing is to be raised: KH, GH and pH are within their limits.'
      }}
    </p>
    <template #besides>
      <p v-for="one in watched" :key="one.code" class="deed">{{ one.text }}</p>
      <ul class="known">
        <li v-for="row in known" :key="row.key">
          <span class="soft">{{ row.name }}</span>
          <template v-if="row.strip">
            <b>{{ row.strip.text }} {{ row.strip.unit }}</b> <StateMark :state="row.strip.state" quiet />
            <span class="soft small">{{ row.strip.age }}</span></template
          ><RouterLink v-else class="small" :to="{ name: 'test', params: { system: system.slug } }"
            >not tested</RouterLink
          >
        </li>
      </ul>
    </template>
  </TodayHere>
  <BenchForm
    :system="system"
    bench="buffer"
    hint="KH and pH move together, and ammonia with them: what a dose does is shown before you give it."
  />
  <BenchForm
    :system="system"
    bench="hardness"
    hint="Dissolve it first: calcium chloride gets hot. Wear gloves and eye protection with dry powders."
  />
</template>

<style scoped>
.known {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 2rem;
  margin-top: 0.4rem;
}
</style>
