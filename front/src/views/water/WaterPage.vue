<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, reactive } from 'vue'
import { answer, api } from '@/api/client'
import { useSession, useWater } from '@/api/queries'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import ChoiceField from '@/parts/ChoiceField.vue'
import FigureButton from '@/parts/FigureButton.vue'
import FormField from '@/parts/FormField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System }>()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)

const form = reactive({ water: '', change_l: '', change_pct: '', goal: 'no3_n_mg_l', target: '', max_change_pct: '', fill_l_min: '', pct_per_week: '', flow_l_h: '', jug_l: '' })
const asked = useDebounce(computed(() => Object.fromEntries(Object.entries(form).filter(([, text]) => text.trim() !== ''))), 250)
const water = useWater(() => props.system.slug, asked)
const page = computed(() => water.data.value)
const errors = computed<Record<string, string>>(() => page.value?.errors ?? {})
const goal = computed(() => page.value?.goals.find((row) => row.id === form.goal))
const chosen = computed({ get: () => form.water || page.value?.water || '', set: (id: string) => (form.water = id) })

const booking = reactive({ kind: 'batch' })
const book = useSend(
  () => props.system.slug,
  () => answer(() => api.PUT('/api/systems/{system}/changes/{id}', { params: { path: { system: props.system.slug, id: ulid() } }, body: { kind: booking.kind, change_l: form.change_l, change_pct: form.change_l ? '' : form.change_pct, water: chosen.value } })),
  () => Object.assign(form, { change_l: '', change_pct: '' }),
)
const takeBack = useSend(() => props.system.slug, (id: string) => answer(() => api.DELETE('/api/systems/{system}/changes/{id}', { params: { path: { system: props.system.slug, id } } })))

const whole = (value: number) => new Intl.NumberFormat('en-GB', { maximumFractionDigits: value < 10 ? 1 : 0 }).format(value)
</script>

<template>
  <p v-if="water.isError.value" class="fault" role="alert">{{ water.error.value?.message }}</p>
  <p v-else-if="!page" class="soft">Opening …</p>
  <template v-else>
    <p v-if="page.missing" class="worst">{{ page.missing }} <RouterLink :to="{ name: 'shelf' }">Shelf</RouterLink></p>
    <dl class="numbers">
      <div><dt>Water</dt><dd><FigureButton :figure="page.volume" big /></dd></div>
      <div v-if="page.waters.length"><dt>Filled from</dt><dd><ChoiceField id="from-water" v-model="chosen" aria-label="Filled from" :choices="page.waters.map((row) => ({ value: row.id, label: row.name }))" /></dd></div>
    </dl>
    <p v-if="page.chlorine" class="fault">This water was tested with chlorine in it: take that out before fish meet it.</p>

    <section v-if="!page.missing" aria-label="One change">
      <h2>One change</h2>
      <form novalidate @submit.prevent="book.send(undefined)">
        <TypedField v-model="form.change_l" label="Litres" unit="L" :error="errors.change_l ?? book.errors.value.change_l" />
        <TypedField v-model="form.change_pct" label="or share" unit="%" :disabled="form.change_l !== ''" :error="errors.change_pct ?? book.errors.value.change_pct" />
        <template v-if="writes">
          <FormField v-slot="{ id, status }" label="It is"><ChoiceField :id="id" v-model="booking.kind" :status="status" :choices="[{ value: 'batch', label: 'a change' }, { value: 'topup', label: 'evaporation topped up' }]" /></FormField>
          <NButton type="primary" attr-type="submit" :loading="book.pending.value">Book it as done</NButton>
        </template>
      </form>
      <p v-if="book.trouble.value" class="fault" role="alert">{{ book.trouble.value }}</p>
      <div class="scroll" tabindex="0" role="region" aria-label="The water before and after">
        <table>
          <thead><tr><th>&nbsp;</th><th>now</th><th>new water</th><th v-if="page.change && booking.kind === 'batch'">after {{ whole(page.change.litres) }} L ({{ whole(page.change.pct) }} %)</th></tr></thead>
          <tbody>
            <tr v-for="row in page.rows" :key="row.parameter">
              <th>{{ row.name }} <span class="soft small">{{ row.unit }}</span></th>
              <td>{{ row.now ?? '–' }} <span v-if="row.age" class="soft small">{{ row.age }}</span></td>
              <td>{{ row.new ?? '–' }} <span v-if="row.assumed" class="soft small">assumed</span></td>
              <td v-if="page.change && booking.kind === 'batch'"><b>{{ row.after ?? '–' }}</b></td>
            </tr>
          </tbody>
        </table>
      </div>
      <template v-if="page.change && booking.kind === 'batch'"><p v-for="caution in page.change.cautions" :key="caution.text" class="caution">{{ caution.text }}</p></template>
    </section>

    <section v-if="page.goals.length" aria-label="To a goal">
      <h2>To a goal</h2>
      <form novalidate @submit.prevent>
        <FormField v-slot="{ id, status }" label="Bring"><ChoiceField :id="id" v-model="form.goal" :status="status" :choices="page.goals.map((row) => ({ value: row.id, label: row.name }))" /></FormField>
        <TypedField v-model="form.target" label="Goal" :unit="goal?.unit" :error="errors.target" />
        <TypedField v-model="form.max_change_pct" label="Most at once" unit="%" placeholder="50" :error="errors.max_change_pct" />
        <TypedField v-model="form.fill_l_min" label="It fills at" unit="L/min" :error="errors.fill_l_min" />
      </form>
      <template v-if="page.plan">
        <p v-if="page.plan.reason" class="caution">{{ page.plan.reason }}</p>
        <p v-else-if="page.plan.steps.length === 0">It is there already.</p>
        <template v-else>
          <p><b>{{ page.plan.steps.length }}</b> {{ page.plan.steps.length === 1 ? 'change' : 'changes, one a day' }}, <FigureButton v-if="page.plan.total" :figure="page.plan.total" /> in all. Test before each: what the fish make meanwhile is not in these numbers.</p>
          <ol>
            <li v-for="step in page.plan.steps.slice(0, 14)" :key="step.day">Day {{ step.day }}: change <b>{{ whole(step.litres) }} L</b> ({{ whole(step.pct) }} %)<template v-if="step.minutes !== null">, {{ whole(step.minutes) }} min to fill</template>; then {{ page.plan.name }} <b>{{ step.after }}</b> {{ page.plan.unit }}</li>
          </ol>
          <p v-if="page.plan.steps.length > 14" class="soft">and so on for {{ page.plan.steps.length - 14 }} more days</p>
          <p class="soft small">No more in a day than 2 °C and 40 mg/L of nitrate, either way.</p>
        </template>
      </template>
    </section>

    <section v-if="!page.missing" aria-label="A trickle">
      <h2>A trickle</h2>
      <form novalidate @submit.prevent>
        <TypedField v-model="form.pct_per_week" label="Share" unit="% a week" :disabled="form.flow_l_h !== ''" :error="errors.pct_per_week" />
        <TypedField v-model="form.flow_l_h" label="or flow" unit="L/h" :error="errors.flow_l_h" />
        <TypedField v-model="form.jug_l" label="Your jug" unit="L" placeholder="1" :error="errors.jug_l" />
      </form>
      <template v-if="page.trickle">
        <p>Open it to <FigureButton :figure="page.trickle.l_min" />, {{ whole(page.trickle.litres) }} L a day<template v-if="page.trickle.jug">: the jug fills in <FigureButton :figure="page.trickle.jug" /></template>.</p>
        <p v-if="page.trickle.steady">At today’s feed nitrate comes to <b>{{ page.trickle.after }}</b> in 60 days and would stand at <b>{{ page.trickle.steady }}</b> in the end.</p>
        <p class="soft small">An open trickle takes salt and treatments out as well, and runs in whatever happens: give it an overflow, and no chlorine.</p>
      </template>
    </section>

    <section aria-label="Changes in the book">
      <h2>In the book</h2>
      <p v-if="page.changes.length === 0" class="soft">No change is booked yet.</p>
      <ul>
        <li v-for="row in page.changes" :key="row.id"><span class="soft">{{ row.age }}</span> <b>{{ row.text }}</b> <span class="soft">{{ row.by }}</span><button v-if="writes" type="button" class="link-button small" :aria-label="`Take back: ${row.text}`" @click="takeBack.send(row.id)">Take back</button></li>
      </ul>
    </section>
  </template>
</template>

<style scoped>
.numbers {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem 3rem;
}

dt {
  font-size: 0.85rem;
  color: var(--soft);
}

dd :deep(select) {
  width: 12rem;
}

section {
  margin-top: 2rem;
}

h2 {
  padding-bottom: 0.35rem;
  margin-bottom: 0.6rem;
  border-bottom: 1px solid var(--soft);
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: 0.9rem 1.5rem;
  align-items: end;
  margin: 0.6rem 0 1rem;
}

form > .field {
  width: 10rem;
}

.scroll {
  overflow-x: auto;
}

th {
  font-weight: 400;
  text-align: left;
}

th,
td {
  padding: 0.35rem 1.5rem 0.35rem 0;
  border-bottom: 1px solid var(--hair);
}

.caution {
  padding-left: 0.75rem;
  border-left: 3px solid var(--straw);
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  align-items: baseline;
  padding: 0.25rem 0;
}

li .link-button {
  margin-left: auto;
}
</style>
