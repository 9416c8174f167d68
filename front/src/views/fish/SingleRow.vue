<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Singles, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import TypedField from '@/parts/TypedField.vue'
import { quantity } from '@/units/chosen'
import { figures } from '@/units/number'
import { day } from '@/units/time'
import GrowthCurve from './GrowthCurve.vue'

const props = defineProps<{ system: System; fish: Singles['fish'][number]; writes: boolean }>()
const emit = defineEmits<{ edit: [] }>()
const open = ref(false)
const form = reactive({ length_cm: '', weight_g: '', on: '' })
const keep = useSend(
  (_input: undefined, id) =>
    answer(() =>
      api.PUT('/api/systems/{system}/singles/{single}/sizes/{id}', {
        params: { path: { system: props.system.slug, single: props.fish.id, id } },
        body: { length_cm: form.length_cm, weight_g: form.weight_g, measured_on: form.on },
      }),
    ),
  () => Object.assign(form, { length_cm: '', weight_g: '', on: '' }),
)
const GONE: Record<string, string> = { died: 'died', sold: 'sold or given away', given: 'given away' }
const history = computed(() =>
  [
    ...props.fish.moves.map((one) => ({
      on: one.on,
      text:
        one.kind === 'moved'
          ? `Moved from ${one.from} to ${one.to}`
          : `${one.kind === 'lost' ? 'Died' : 'Sold'} at ${one.from}`,
      more: one.reason,
    })),
    ...props.fish.doses.map((one) => ({ on: one.on, text: one.text, more: null })),
    ...props.fish.looks.map((one) => ({ on: one.on, text: one.words, more: null })),
  ].sort((a, b) => b.on.localeCompare(a.on)),
)
</script>

<!-- One fish by name: its size and condition, how it grows, and what happened to it. -->
<template>
  <li>
    <p class="head">
      <button type="button" class="plain-button" :aria-expanded="open" @click="open = !open">
        <b>{{ fish.name }}</b>
      </button>
      <span class="soft"
        ><template v-if="fish.variety">{{ fish.variety }}</template
        ><template v-if="fish.group_name">{{ fish.variety ? ', ' : '' }}of {{ fish.group_name }}</template
        ><template v-if="fish.origin">, {{ fish.origin }}</template></span
      >
      <span v-if="fish.gone && fish.gone_on"
        >{{ GONE[fish.gone] }} {{ day(fish.gone_on)
        }}<template v-if="fish.gone_why">: {{ fish.gone_why }}</template></span
      >
      <span v-else-if="fish.weight_g !== null"
        ><b>{{ quantity(fish.weight_g, 'g', 3) }}</b
        ><span v-if="!fish.weighed" class="soft small"> by its length</span
        ><template v-if="fish.length_cm">, {{ quantity(fish.length_cm, 'cm', 3) }}</template
        ><template v-if="fish.condition !== null"
          >, condition {{ figures(fish.condition, 3) }}, {{ fish.condition_word }}</template
        ></span
      >
      <span v-else class="soft">not measured yet</span>
    </p>
    <div v-if="open" class="more">
      <p v-if="fish.note">{{ fish.note }}</p>
      <GrowthCurve v-if="fish.measures.length > 1" :measures="fish.measures" />
      <p v-if="fish.ahead_g !== null">
        In {{ fish.ahead_weeks }} weeks about <b>{{ quantity(fish.ahead_g, 'g', 3) }}</b>
        <span class="soft small">{{
          fish.fitted ? 'by its own growth' : 'by the usual growth of koi; measure it twice to know its own'
        }}</span>
      </p>
      <ul v-if="history.length" class="rows" :aria-label="`History of ${fish.name}`">
        <li v-for="(one, i) in history" :key="i">
          <span class="soft day">{{ day(one.on) }}</span>
          <span
            >{{ one.text }}<template v-if="one.more">: {{ one.more }}</template></span
          >
        </li>
      </ul>
      <form
        v-if="writes && !fish.gone"
        novalidate
        :aria-label="`Measure ${fish.name}`"
        @submit.prevent="keep.send(undefined)"
      >
        <TypedField v-model="form.length_cm" label="Length" unit="cm" :error="keep.errors.value.length_cm" />
        <TypedField v-model="form.weight_g" label="Weight" unit="g" :error="keep.errors.value.weight_g" />
        <TypedField
          v-model="form.on"
          label="On"
          day
          hint="empty is today"
          :error="keep.errors.value.measured_on"
        />
        <NButton attr-type="submit" :loading="keep.pending.value">Save the size</NButton>
        <RouterLink class="small" :to="{ name: 'look', params: { system: system.slug } }"
          >Look at it</RouterLink
        >
        <button type="button" class="link-button small" @click="emit('edit')">Edit</button>
      </form>
      <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
    </div>
  </li>
</template>

<style scoped>
li {
  display: block;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 1rem;
  align-items: baseline;
}

.head button {
  border-bottom: 1px dotted var(--water);
}

.more {
  padding: 0.5rem 0 0.5rem 1rem;
  border-left: 3px solid var(--hair);
}

.more .rows li {
  display: flex;
  gap: 1rem;
}

.day {
  min-width: 6.5rem;
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem 1.25rem;
  align-items: end;
  margin-top: 0.6rem;
}
</style>
