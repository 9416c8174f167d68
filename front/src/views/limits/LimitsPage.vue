<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useLimits, useSession, useShelf } from '@/api/queries'
import type { LimitsPage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import TypedField from '@/parts/TypedField.vue'
import SchoolTopic from './SchoolTopic.vue'
import { symbolOf, valueOf } from '@/units/chosen'

const props = defineProps<{ system: System }>()
type Row = LimitsPage['limits'][number]
const limits = useLimits(() => props.system.slug)
const shelf = useShelf()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)

const open = ref<string>()
const side = () => reactive({ watch: '', act: '', emergency: '' })
const form = reactive({ below: side(), above: side(), reason: '' })
const number = (value: number) => Number(value.toPrecision(3))
const read = (value: number, row: Row) => number(valueOf(value, row.unit ?? ''))
const words = (row: Row) => {
  const use = { below: row.own?.below ?? row.shipped.below, above: row.own?.above ?? row.shipped.above }
  return (
    [
      use.below && `watch below ${read(use.below.watch, row)}, act below ${read(use.below.act, row)}`,
      use.above && `watch above ${read(use.above.watch, row)}, act above ${read(use.above.act, row)}`,
    ]
      .filter(Boolean)
      .join('; ') || 'never judged'
  )
}
function edit(row: Row): void {
  const fill = (to: { watch: string; act: string; emergency: string }, from: Row['shipped']['below']) =>
    Object.assign(
      to,
      from
        ? {
            watch: String(number(from.watch)),
            act: String(number(from.act)),
            emergency: String(number(from.emergency)),
          }
        : { watch: '', act: '', emergency: '' },
    )
  fill(form.below, row.own?.below ?? row.shipped.below)
  fill(form.above, row.own?.above ?? row.shipped.above)
  form.reason = row.own?.reason ?? ''
  open.value = row.parameter
}
const path = (parameter: string) => ({ params: { path: { system: props.system.slug, parameter } } })
const save = useSend(
  () =>
    answer(() =>
      api.PUT('/api/systems/{system}/limits/{parameter}', {
        ...path(open.value ?? ''),
        body: { below: { ...form.below }, above: { ...form.above }, reason: form.reason },
      }),
    ),
  () => (open.value = undefined),
)
const drop = useSend((parameter: string) =>
  answer(() => api.DELETE('/api/systems/{system}/limits/{parameter}', path(parameter))),
)
const plan = useSend((to: { parameter: string; way: string; every_h?: string }) =>
  answer(() =>
    api.PUT('/api/systems/{system}/schedule/{parameter}', {
      ...path(to.parameter),
      body: { way: to.way, every_h: to.every_h },
    }),
  ),
)
const source = useSend((water: string) =>
  answer(() =>
    api.PUT('/api/systems/{system}/source', {
      params: { path: { system: props.system.slug } },
      body: { water },
    }),
  ),
)
const EVERY = [
  ['usual', 'as usual'],
  ['12', 'every 12 h'],
  ['24', 'daily'],
  ['72', 'every 3 days'],
  ['168', 'weekly'],
  ['336', 'every 2 weeks'],
  ['672', 'every 4 weeks'],
  ['never', 'never'],
] as const
const every = (row: Row) => (!row.planned ? 'usual' : row.every_h === null ? 'never' : String(row.every_h))
const reads = (parameter: string) => !['nh3_n_mg_l', 'do_sat_pct', 'co2_mg_l'].includes(parameter)
</script>

<template>
  <p>
    Limits are those of {{ system.life_stage_name.toLowerCase() }}, tests those of {{ system.schedule.name
    }}<template v-if="system.schedule.season">, in {{ system.schedule.season.name }}</template
    >. Where yours are other, say why.
  </p>
  <p v-if="system.schedule.season" class="soft small">{{ system.schedule.season.says }}</p>
  <p class="source">
    <label
      >Filled from
      <select
        :value="limits.data.value?.water_id ?? ''"
        :disabled="!writes"
        @change="source.send(($event.target as HTMLSelectElement).value)"
      >
        <option value="">no source water named</option>
        <option v-for="water in shelf.data.value?.waters ?? []" :key="water.id" :value="water.id">
          {{ water.name }}
        </option>
      </select></label
    >
    <RouterLink class="small" to="/shelf">Shelf</RouterLink>
  </p>
  <section class="part" aria-label="Schools">
    <h2>Schools</h2>
    <p class="soft small">
      Experienced keepers differ on these. What you choose here sets the targets, limits and plans of this
      system; what it changes is shown before it is kept.
    </p>
    <ul>
      <SchoolTopic
        v-for="topic in limits.data.value?.topics ?? []"
        :key="topic.id"
        :system="system"
        :topic="topic"
        :writes="writes"
      />
    </ul>
  </section>
  <section class="part" aria-label="Limits and tests">
    <h2>Limits and tests</h2>
    <p v-if="limits.isError.value" class="fault" role="alert">{{ limits.error.value?.message }}</p>
    <ul>
      <li v-for="row in limits.data.value?.limits ?? []" :key="row.parameter">
        <div class="line">
          <b>{{ row.name }}</b>
          <span :class="{ soft: !row.own }"
            >{{ words(row) }}<span v-if="row.unit" class="soft">{{ ` ${symbolOf(row.unit)}` }}</span
            ><template v-if="row.own"
              ><br /><span class="small">yours: {{ row.own.reason }}</span></template
            ></span
          >
          <label v-if="reads(row.parameter)" class="small"
            >tested
            <select
              :value="every(row)"
              :disabled="!writes"
              :aria-label="`How often ${row.name} is tested`"
              @change="
                plan.send({
                  parameter: row.parameter,
                  way: ['usual', 'never'].includes(($event.target as HTMLSelectElement).value)
                    ? ($event.target as HTMLSelectElement).value
                    : 'own',
                  every_h: ($event.target as HTMLSelectElement).value,
                })
              "
            >
              <option v-for="[value, label] in EVERY" :key="value" :value="value">{{ label }}</option>
            </select></label
          >
          <span v-if="writes" class="acts small"
            ><button
              type="button"
              class="link-button"
              :aria-label="`Set limits of ${row.name}`"
              @click="edit(row)"
            >
              Set</button
            ><button
              v-if="row.own"
              type="button"
              class="link-button"
              :aria-label="`Go back to the usual limits of ${row.name}`"
              @click="drop.send(row.parameter)"
            >
              Usual
            </button></span
          >
        </div>
        <form v-if="open === row.parameter" class="editor" novalidate @submit.prevent="save.send(undefined)">
          <template v-for="way in ['below', 'above'] as const" :key="way">
            <TypedField
              v-for="state in ['watch', 'act', 'emergency'] as const"
              :key="`${way} ${state}`"
              v-model="form[way][state]"
              :label="`${state} ${way}`"
              :unit="row.unit"
              :error="save.errors.value[`${way}.${state}`]"
            />
          </template>
          <div class="whole">
            <TypedField v-model="form.reason" label="Why" words :error="save.errors.value.reason" />
          </div>
          <div class="whole buttons">
            <NButton type="primary" attr-type="submit" :loading="save.pending.value"
              >Save these limits</NButton
            ><button type="button" class="link-button" @click="open = undefined">Cancel</button>
          </div>
          <p v-if="save.trouble.value" class="fault whole" role="alert">{{ save.trouble.value }}</p>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.source {
  display: flex;
  gap: 1.5rem;
  align-items: baseline;
  margin: 0.75rem 0;
}

.line {
  display: grid;
  grid-template-columns: 10rem minmax(0, 1fr) 15rem 6rem;
  gap: 0.25rem 1.5rem;
  align-items: baseline;
}

li {
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hair);
}

.acts {
  display: flex;
  gap: 1rem;
  justify-content: end;
}

.editor {
  grid-template-columns: repeat(3, minmax(0, 11rem));
}

@media (max-width: 720px) {
  .line,
  .editor {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
