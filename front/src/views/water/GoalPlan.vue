<script setup lang="ts">
import { computed } from 'vue'
import type { WaterPage } from '@/api/types'
import PickField from '@/parts/PickField.vue'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'
import { whole } from './useWaterForm'
import { whole as volume } from '@/units/chosen'

const props = defineProps<{ page: WaterPage; errors: Record<string, string> }>()
const form = defineModel<
  Record<
    'goal' | 'target' | 'max_change_pct' | 'steps_per_day' | 'delivery' | 'bucket_l' | 'vat_l' | 'change_l',
    string
  >
>({ required: true })
const goal = computed(() => props.page.goals.find((row) => row.id === form.value.goal))
const plan = computed(() => props.page.plan)
function take(litres: number): void {
  Object.assign(form.value, {
    change_l: String(Math.round(litres * 10) / 10),
    change_pct: '',
    level_cm: '',
    meter_before: '',
    meter_after: '',
  })
}
const perDay = computed(() => (plan.value?.steps ?? []).some((step) => step.of_day > 1))
</script>

<!-- The fewest safe changes to a goal, and the same water as a trickle. -->
<template>
  <section class="part" aria-label="Plan a change">
    <h2>Plan a change</h2>
    <form class="fields" novalidate @submit.prevent>
      <PickField
        label="Parameter"
        v-model="form.goal"
        :choices="page.goals.map((row) => ({ value: row.id, label: row.name }))"
      />
      <TypedField v-model="form.target" label="Target" :unit="goal?.unit" :error="errors.target" />
      <TypedField
        v-model="form.max_change_pct"
        label="Largest single change"
        unit="%"
        placeholder="50"
        :error="errors.max_change_pct"
      />
      <TypedField
        v-model="form.steps_per_day"
        label="Changes a day"
        placeholder="1"
        :error="errors.steps_per_day"
      />
      <PickField
        label="Delivery"
        v-model="form.delivery"
        :choices="[
          { value: 'hose', label: 'hose' },
          { value: 'bucket', label: 'bucket' },
          { value: 'vat', label: 'a treated, warmed vat' },
        ]"
      />
      <TypedField
        v-if="form.delivery === 'bucket'"
        v-model="form.bucket_l"
        label="Bucket"
        unit="L"
        :error="errors.bucket_l"
      />
      <TypedField
        v-if="form.delivery === 'vat'"
        v-model="form.vat_l"
        label="Vat"
        unit="L"
        :error="errors.vat_l"
      />
    </form>
    <template v-if="plan">
      <p v-for="caution in plan.cautions" :key="caution.code" :class="['caution', caution.level]">
        {{ caution.text }}
      </p>
      <p v-if="plan.reason" class="caution">{{ plan.reason }}</p>
      <p v-else-if="plan.steps.length === 0">The water is there already: no change is needed.</p>
      <template v-else>
        <p class="sum">
          <b>{{ plan.steps.length }}</b>
          {{ plan.steps.length === 1 ? 'change' : perDay ? 'changes' : 'changes, one a day' }},
          <FigureButton v-if="plan.total" :figure="plan.total" /> in all
        </p>
        <ol class="rows">
          <li v-for="step in plan.steps.slice(0, 14)" :key="`${step.day} ${step.of_day}`">
            <span class="soft">Day {{ step.day }}{{ perDay ? `, change ${step.of_day}` : '' }}</span>
            <span
              ><b>{{ volume(step.litres, 'L') }}</b> ({{ whole(step.pct) }} %)<template
                v-if="step.buckets !== null"
                >, {{ step.buckets }} buckets</template
              ><template v-if="step.minutes !== null">, {{ whole(step.minutes) }} min to fill</template></span
            >
            <span
              >then {{ plan.name }} <b>{{ step.after }}</b></span
            >
            <button
              v-if="step === plan.steps[0]"
              type="button"
              class="link-button small"
              @click="take(step.litres)"
            >
              Use this step
            </button>
          </li>
        </ol>
        <p v-if="plan.steps.length > 14" class="soft">
          and so on for {{ plan.steps.length - 14 }} more changes
        </p>
        <p v-if="plan.trickle">
          As a trickle over the same days, the same water,
          <FigureButton v-if="plan.trickle.flow" :figure="plan.trickle.flow" />, brings it to
          <b>{{ plan.trickle.after }}</b>: a little less far, but without a jump.
        </p>
        <p class="soft small">
          {{ plan.limits }} Waste from the fish in the meantime is counted. Test before each change.
        </p>
      </template>
    </template>
  </section>
</template>

<style scoped>
.sum {
  font-size: 1.15rem;
}

.rows li > :first-child {
  min-width: 7rem;
}

.rows li > :nth-child(2) {
  min-width: 15rem;
}

.link-button {
  margin-left: auto;
}
</style>
