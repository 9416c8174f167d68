<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import TypedField from '@/parts/TypedField.vue'
import { computed, reactive } from 'vue'
import { Refusal } from '@/api/client'
import { useCapacity, useFilter, useSession, useVocabulary } from '@/api/queries'
import type { FieldErrors, System } from '@/api/types'
import StateMark from '@/parts/StateMark.vue'
import FigureButton from '@/parts/FigureButton.vue'
import { figures } from '@/units/number'
import BehindIt from './BehindIt.vue'
import KeptWhatIfs from './KeptWhatIfs.vue'
import LoadLedger from './LoadLedger.vue'
import RoomLeft from './RoomLeft.vue'
import StageTable from './StageTable.vue'
import WhatIfFields from './WhatIfFields.vue'

const props = defineProps<{ system: System }>()

const typed = reactive<Record<string, string>>({})
const given = computed(() =>
  Object.fromEntries(Object.entries(typed).filter(([, text]) => text.trim() !== '')),
)
const asked = useDebounce(given, 200)
const capacity = useCapacity(() => props.system.slug, asked)
const filter = useFilter(() => props.system.slug, asked)
const words = useVocabulary()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const errors = computed<FieldErrors>(() =>
  capacity.error.value instanceof Refusal ? capacity.error.value.errors : {},
)
const trouble = computed(() =>
  capacity.error.value && Object.keys(errors.value).length === 0 ? capacity.error.value.message : null,
)
const shown = computed(() => capacity.data.value ?? { ...props.system.capacity })
const number = (value: number) => figures(value)

/** A condition as it stands, without its unit, to type over. */
const plain = (text: string, unit: string | null) => (unit === null ? text : text.replace(` ${unit}`, ''))

function take(changes: Record<string, string>): void {
  reset()
  Object.assign(typed, changes)
}

function reset(): void {
  for (const key of Object.keys(typed)) delete typed[key]
}
</script>

<template>
  <p class="verdict" aria-live="polite">
    <StateMark v-if="shown.state" :state="shown.state" />
    <span>{{ shown.sentence }}</span>
  </p>
  <p v-if="shown.gap" class="caution">{{ shown.gap.text }}</p>
  <p v-if="shown.living" class="soft">
    {{ number(shown.living.pct) }} % of its surface lives today ({{ number(shown.living.low_pct) }} to
    {{ number(shown.living.high_pct) }}), {{ shown.living.from
    }}<template v-if="shown.band"
      >: it takes {{ number(shown.band.low_g_d) }} to {{ number(shown.band.high_g_d) }} g N a day</template
    >.
  </p>
  <p v-if="shown.living?.asks" class="caution">
    {{ shown.living.asks.text }}
    <RouterLink :to="{ name: 'build', params: { system: system.slug } }">Enter the start date</RouterLink>
  </p>
  <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>

  <LoadLedger v-if="shown.capacity" :capacity="shown" />
  <p v-else-if="!system.build.stages.length">
    <RouterLink :to="{ name: 'build', params: { system: system.slug } }">Describe the filter</RouterLink>
  </p>

  <RoomLeft v-if="shown.room" :room="shown.room" :steps="shown.steps" :fish-now="system.fish_count" />

  <section class="conditions" aria-label="Conditions">
    <div class="head">
      <h2>Conditions</h2>
      <span class="soft small">Type over any of these to see what would change.</span>
      <button v-if="Object.keys(given).length" type="button" class="link-button small" @click="reset">
        Back to today’s water
      </button>
    </div>
    <div class="fields">
      <TypedField
        v-for="condition in shown.conditions"
        :key="condition.key"
        :model-value="typed[condition.key] ?? ''"
        :class="condition.kind"
        :label="condition.label"
        :unit="condition.unit"
        :error="errors[condition.key]"
        :hint="condition.from"
        :placeholder="plain(condition.text, condition.unit)"
        @update:model-value="typed[condition.key] = $event"
      />
    </div>
    <WhatIfFields v-model:typed="typed" :system="system" :errors="errors" />
  </section>

  <KeptWhatIfs
    v-if="shown.capacity"
    :system="system"
    :now="system.capacity"
    :then="shown"
    :given="given"
    :writes="writes"
    @open="take"
  />

  <section v-if="shown.settles.length" class="settles" aria-label="Where it settles">
    <div class="head">
      <h2>Where it settles</h2>
      <span class="soft small">if nothing changes, once the filter has grown to the load</span>
    </div>
    <dl>
      <div v-for="figure in shown.settles" :key="figure.label">
        <dt>{{ figure.label }}</dt>
        <dd><FigureButton :figure="figure" /></dd>
      </div>
    </dl>
  </section>

  <StageTable v-if="shown.capacity" :stages="shown.stages" :whole="shown.capacity" />
  <BehindIt
    v-if="filter.data.value"
    :system="system"
    :filter="filter.data.value"
    :words="words.data.value"
    :writes="writes"
  />
</template>

<style scoped>
.verdict {
  display: grid;
  gap: 0.35rem;
  font-size: 1.25rem;
  line-height: 1.35;
  max-width: 48rem;
  margin-bottom: 1.5rem;
}

.conditions {
  margin: 2rem 0;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 1rem;
  padding-bottom: 0.35rem;
  margin-bottom: 0.75rem;
  border-bottom: 1px solid var(--soft);
}

.settles {
  margin: 2rem 0;
}

.settles dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
  gap: 0.75rem 1.5rem;
}

.settles dt {
  color: var(--soft);
  font-size: 0.875rem;
}

.settles dd {
  font-size: 1.1rem;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11.5rem, 1fr));
  gap: 1rem 1.5rem;
}

.fields :deep(input::placeholder),
.fields :deep(.n-input__placeholder) {
  color: var(--ink) !important;
}

.fields :deep(.assumed ~ p) {
  color: var(--straw-ink);
}
</style>
