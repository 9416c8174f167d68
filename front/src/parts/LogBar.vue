<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { useDebounce, useMediaQuery, useSessionStorage } from '@vueuse/core'
import { ulid } from 'ulid'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { answer, api, orWaits, Refusal } from '@/api/client'
import { refreshBook, useSystems } from '@/api/queries'
import { signal } from '@/api/signal/signal'
import { lastBooked } from '@/state/booked'
import { clock } from '@/units/time'
import FigureButton from './FigureButton.vue'
import LogKeypad from './LogKeypad.vue'
import StateMark from './StateMark.vue'
import { quantity } from '@/units/chosen'

defineProps<{ writes: boolean }>()

const route = useRoute()
const systems = useSystems()
const line = useSessionStorage('log-line', '')
const key = useSessionStorage('log-key', ulid())
const chosen = ref<string>()
/** On a narrow screen the bar opens its own keys, and the device's keyboard stays away until words are wanted. */
const narrow = useMediaQuery('(max-width: 720px)')
const keys = ref(false)
const keypad = computed(() => narrow.value && keys.value)
const box = useTemplateRef<HTMLInputElement>('box')

watch(
  () => route.params.system,
  (slug) => {
    if (typeof slug === 'string') chosen.value = slug
  },
  { immediate: true },
)

const slug = computed(() => chosen.value ?? systems.data.value?.[0]?.slug ?? '')
const settled = useDebounce(
  computed(() => line.value ?? ''),
  180,
)
const understood = useQuery({
  queryKey: ['log', slug, settled],
  enabled: computed(() => settled.value.trim() !== '' && slug.value !== ''),
  queryFn: () =>
    answer(() =>
      api.POST('/api/systems/{system}/log/meaning', {
        params: { path: { system: slug.value } },
        body: { line: settled.value },
      }),
    ),
  placeholderData: (previous) => previous,
})

const keep = useMutation({
  mutationFn: (at: string) =>
    answer(() =>
      api.POST('/api/systems/{system}/log', {
        params: { path: { system: at } },
        body: { id: key.value, line: line.value },
      }),
    ).catch(orWaits),
  onSuccess: async (visit, at) => {
    lastBooked.value = visit && {
      visit: visit.id,
      slug: at,
      system: systems.data.value?.find((s) => s.slug === at)?.name ?? at,
      count: visit.readings.length,
      besides: visit.besides,
    }
    line.value = ''
    key.value = ulid()
    await refreshBook()
  },
})

const busy = computed(() => line.value.trim() !== '')
const faults = computed(() => (busy.value ? (understood.data.value?.faults ?? []) : []))
const refusal = computed(() =>
  keep.error.value instanceof Refusal ? (keep.error.value.errors.line ?? keep.error.value.message) : null,
)

watch(line, () => keep.reset())

function submit(): void {
  if (busy.value && !keep.isPending.value) keep.mutate(slug.value)
}

defineExpose({ focus: () => box.value?.focus() })
function toTheLine() {
  keys.value = false
  box.value?.focus()
}
</script>

<template>
  <form class="log" role="search" aria-label="Log bar" @submit.prevent="submit">
    <div class="entry">
      <label class="for small soft">
        <span class="word">Log for</span>
        <select
          :value="slug"
          aria-label="System to log for"
          @change="chosen = ($event.target as HTMLSelectElement).value"
        >
          <option v-for="system in systems.data.value ?? []" :key="system.slug" :value="system.slug">
            {{ system.name }}
          </option>
        </select>
      </label>
      <input
        ref="box"
        v-model="line"
        class="box"
        aria-label="Readings, as am .5 ni .1 ph 7.8 t 18.5"
        placeholder="am .5 ni .1 na 20 ph 7.8 t 18.5 do 7.2 kh 6 @7:10"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        maxlength="500"
        :inputmode="keypad ? 'none' : 'text'"
        :disabled="!writes"
      />
      <button
        v-if="narrow && writes"
        type="button"
        class="keys"
        :aria-expanded="keypad"
        @click="keys = !keys"
      >
        123
      </button>
      <button v-if="busy" type="submit" class="keep" :disabled="keep.isPending.value">
        {{ keep.isPending.value ? 'Keeping …' : 'Keep' }}
      </button>
    </div>
    <div v-if="busy" class="understood small" aria-live="polite">
      <p v-if="refusal" class="fault">{{ refusal }}</p>
      <p v-for="fault in faults" :key="fault.at" class="fault">
        <span class="pointed"
          >{{ line.slice(0, fault.at) }}<mark>{{ line.slice(fault.at, fault.at + fault.length) }}</mark></span
        >
        {{ fault.message }}
      </p>
      <p v-if="signal.lost" class="soft">
        Without signal the line is kept as it stands, and understood when it is booked.
      </p>
      <p v-else-if="understood.isError.value" class="fault">{{ understood.error.value?.message }}</p>
      <p v-for="(ask, parameter) in understood.data.value?.asks ?? {}" :key="parameter" class="ask">
        {{ ask.text }}
      </p>
      <ul
        v-if="
          understood.data.value &&
          (understood.data.value.readings.length ||
            understood.data.value.feed_g !== null ||
            understood.data.value.change_l !== null ||
            understood.data.value.change_pct !== null ||
            understood.data.value.note)
        "
      >
        <li v-for="strip in understood.data.value.readings" :key="strip.parameter">
          {{ strip.name }} <FigureButton v-if="strip.figure" :figure="strip.figure" /><template v-else
            ><b>{{ strip.text }}</b> {{ strip.unit }}</template
          >
          <StateMark :state="strip.state" />
        </li>
        <li v-if="understood.data.value.feed_g !== null">
          Feed <b>{{ quantity(understood.data.value.feed_g, 'g', 4) }}</b>
        </li>
        <li v-if="understood.data.value.change_pct !== null">
          Change <b>{{ understood.data.value.change_pct }}</b> % of the water
        </li>
        <li v-if="understood.data.value.change_l !== null">
          Change <b>{{ quantity(understood.data.value.change_l, 'L', 4) }}</b> of water
        </li>
        <li v-if="understood.data.value.note">
          Note <b>{{ understood.data.value.note }}</b>
        </li>
        <li v-if="understood.data.value.spot" class="soft">clarity at {{ understood.data.value.spot }}</li>
        <li v-if="understood.data.value.place" class="soft">in {{ understood.data.value.place }}</li>
        <li v-if="understood.data.value.taken_at" class="soft">
          taken {{ clock(understood.data.value.taken_at) }}
        </li>
      </ul>
    </div>
    <LogKeypad v-if="keypad" v-model="line" @close="toTheLine" />
  </form>
</template>

<style scoped>
.log {
  border-bottom: 1px solid var(--hair);
  background: var(--paper);
}

.ask {
  font-weight: 700;
}

.entry {
  display: flex;
  align-items: stretch;
  min-height: 3.25rem;
}

.for {
  display: flex;
  flex-direction: column;
  justify-content: center;
  padding: 0.3rem 0.75rem 0.3rem 2rem;
}

select {
  font: inherit;
  font-weight: 700;
  color: var(--ink);
  background: var(--paper);
  border: 0;
  padding: 0;
  max-width: 9rem;
}

.box {
  flex: 1;
  min-width: 0;
  font: inherit;
  font-size: 1.1rem;
  color: var(--ink);
  background: transparent;
  border: 0;
  border-left: 1px solid var(--hair);
  padding: 0 1rem;
}

.box:focus {
  outline: none;
  background: var(--sheet);
  box-shadow: inset 0 -2px 0 var(--water);
}

.box::placeholder {
  color: var(--soft);
  opacity: 1;
}

.keep {
  font: inherit;
  font-weight: 700;
  border: 0;
  padding: 0 1.5rem;
  background: var(--water);
  color: var(--on-water);
  cursor: pointer;
}

.keys {
  font: inherit;
  min-width: 3rem;
  border: 0;
  border-left: 1px solid var(--hair);
  background: transparent;
  color: var(--water);
}

.understood {
  padding: 0.5rem 2rem 0.75rem;
  background: var(--sheet);
  border-top: 1px solid var(--hair);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem 1.5rem;
}

li {
  display: flex;
  align-items: center;
  gap: 0.35rem;
}

.pointed {
  font-weight: 400;
  color: var(--soft);
}

mark {
  background: none;
  color: var(--rust-ink);
  text-decoration: underline wavy var(--rust);
}

@media (max-width: 720px) {
  .for {
    padding: 0 0.5rem 0 1rem;
  }

  .for > .word {
    display: none;
  }

  .for select {
    min-height: 44px;
  }

  .understood {
    padding: 0.5rem 1rem 0.75rem;
  }

  .box {
    font-size: 1rem;
    padding: 0 0.6rem;
  }
}
</style>
