<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { FishPage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'
import { quantity } from '@/units/chosen'

const props = defineProps<{ system: System; fish: FishPage; writes: boolean }>()
const text = (value: number | string | null | undefined) =>
  value === null || value === undefined ? '' : String(value)
const plan = props.fish.plan
const form = reactive({
  by_ration: plan?.by_ration ? 'yes' : 'no',
  feed_g_d: text(plan?.by_ration ? null : plan?.feed_g_d),
  protein_pct: text(plan?.protein_pct),
  product: text(plan?.product),
  digestibility_pct: text(plan?.digestibility_pct),
  moisture_pct: text(plan?.moisture_pct),
  uneaten_pct: text(plan?.uneaten_pct || null),
  carbon_g_d: text(plan?.carbon_g_d ?? null),
  fertiliser_g_week: text(plan?.fertiliser_g_week || null),
  fertiliser_n_pct: text(plan?.fertiliser_n_pct),
  meals: text(plan?.meals),
  days_a_week: text(plan?.days_a_week === 7 ? null : plan?.days_a_week),
})
const set = useSend(() =>
  answer(() =>
    api.PUT('/api/systems/{system}/feed', {
      params: { path: { system: props.system.slug } },
      body: { ...form },
    }),
  ),
)
</script>

<template>
  <section class="part" aria-label="Feed">
    <h2>Feed plan</h2>
    <p class="soft small">
      <template v-if="fish.plan"
        >{{ quantity(fish.plan.mean_g_d, 'g') }} a day on the mean of the week; this plan holds since
        {{ fish.plan.since }}. A new one holds from today.</template
      >
      <template v-else>No feed plan yet: the load is worked out as if nothing were fed. Enter one.</template>
      <template v-if="fish.ration">
        By the ration table these fish would get <FigureButton :figure="fish.ration" /> in this water, as
        {{ fish.kind }}.</template
      >
    </p>
    <form novalidate @submit.prevent="set.send(undefined)">
      <PickField
        label="How much"
        v-model="form.by_ration"
        :choices="[
          { value: 'no', label: 'a weight a day' },
          { value: 'yes', label: 'by the ration table' },
        ]"
      />
      <TypedField
        v-if="form.by_ration === 'no'"
        v-model="form.feed_g_d"
        label="Feed"
        unit="g/d"
        :disabled="!writes"
        :error="set.errors.value.feed_g_d"
      />
      <TypedField
        v-model="form.protein_pct"
        label="Protein"
        unit="%"
        :disabled="!writes"
        :error="set.errors.value.protein_pct"
      />
      <TypedField
        v-model="form.product"
        label="Name of the feed"
        words
        :disabled="!writes"
        :error="set.errors.value.product"
      />
      <TypedField
        v-model="form.digestibility_pct"
        label="Digestibility"
        unit="%"
        hint="of the protein; empty is 80"
        :disabled="!writes"
        :error="set.errors.value.digestibility_pct"
      />
      <TypedField
        v-model="form.moisture_pct"
        label="Moisture"
        unit="%"
        hint="if protein is given of dry feed"
        :disabled="!writes"
        :error="set.errors.value.moisture_pct"
      />
      <TypedField
        v-model="form.uneaten_pct"
        label="Left uneaten"
        unit="%"
        hint="it rots and adds"
        :disabled="!writes"
        :error="set.errors.value.uneaten_pct"
      />
      <TypedField
        v-model="form.carbon_g_d"
        label="Carbon for microbes"
        unit="g/d"
        hint="sugar or starch; empty is none"
        :disabled="!writes"
        :error="set.errors.value.carbon_g_d"
      />
      <TypedField
        v-model="form.fertiliser_g_week"
        label="Plant fertiliser"
        unit="g/week"
        hint="into this water; empty is none"
        :disabled="!writes"
        :error="set.errors.value.fertiliser_g_week"
      />
      <TypedField
        v-if="form.fertiliser_g_week"
        v-model="form.fertiliser_n_pct"
        label="Nitrogen in it"
        unit="%"
        hint="the first of its three numbers"
        :disabled="!writes"
        :error="set.errors.value.fertiliser_n_pct"
      />
      <TypedField
        v-model="form.meals"
        label="Meals a day"
        :disabled="!writes"
        :error="set.errors.value.meals"
      />
      <TypedField
        v-model="form.days_a_week"
        label="Days a week"
        hint="empty is 7"
        :disabled="!writes"
        :error="set.errors.value.days_a_week"
      />
      <div v-if="writes" class="buttons">
        <NButton type="primary" attr-type="submit" :loading="set.pending.value">Save the feed plan</NButton>
        <span v-if="set.done.value" class="soft" role="status">Saved.</span>
      </div>
    </form>
    <p v-if="set.trouble.value" class="fault" role="alert">{{ set.trouble.value }}</p>
  </section>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
  gap: 0.9rem 1.5rem;
  margin-top: 0.75rem;
}

.buttons {
  display: flex;
  gap: 1rem;
  align-items: center;
}
</style>
