<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Shipments, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { quantity } from '@/units/chosen'
import { figures } from '@/units/number'
import { clock } from '@/units/time'
import BagAnswer from './BagAnswer.vue'
import BagForm from './BagForm.vue'

type Bag = Shipments['shipments'][number]['bags'][number]
const props = defineProps<{
  system: System
  shipment: string
  bag: Bag
  writes: boolean
  startsAgain: string | null
}>()
const open = ref<'measure' | 'in' | ''>('')
const form = reactive({ drip_l_min: '', dead: '', vessel_id: '' })
const path = computed(() => ({ params: { path: { system: props.system.slug, id: props.bag.id } } }))
const send = useSend(
  (deed: () => Promise<unknown>) => deed(),
  () => (open.value = ''),
)
const drip = () =>
  answer(() =>
    api.PUT('/api/systems/{system}/bags/{id}/drip', { ...path.value, body: { drip_l_min: form.drip_l_min } }),
  )
const stop = () => answer(() => api.DELETE('/api/systems/{system}/bags/{id}/drip', path.value))
const putIn = () =>
  answer(() =>
    api.PUT('/api/systems/{system}/bags/{id}/in', {
      ...path.value,
      body: { dead: form.dead, vessel_id: form.vessel_id },
    }),
  )
const takeBack = () => answer(() => api.DELETE('/api/systems/{system}/bags/{id}/in', path.value))
const remove = () => answer(() => api.DELETE('/api/systems/{system}/bags/{id}', path.value))
const bays = computed(() => [
  { value: '', label: 'any bay' },
  ...props.system.build.vessels.map((one) => ({ value: one.id, label: one.name })),
])
const mayDrip = computed(
  () =>
    props.bag.answer?.drip &&
    !props.bag.answer.turns &&
    !props.bag.answer.drip.match_first &&
    !props.bag.dripping,
)
</script>

<!-- One bag: what opening it does, its drip, and putting its fish in. -->
<template>
  <li>
    <p class="head">
      <b>{{ bag.count }} {{ bag.name }}</b>
      <span class="soft"
        >{{ quantity(bag.length_cm, 'cm', 3) }}, {{ quantity(bag.kg, 'kg', 2)
        }}<template v-if="bag.litres"> in {{ quantity(bag.litres, 'L', 3) }}</template
        ><template v-if="bag.hours !== null">, closed for {{ figures(bag.hours, 2) }} h</template></span
      >
      <span v-if="bag.in_at"
        >in since {{ clock(bag.in_at)
        }}<template v-if="bag.dead">; {{ bag.dead }} dead on arrival</template></span
      >
      <span v-else-if="bag.dripping">dripping since {{ clock(bag.dripping.since) }}</span>
      <a v-if="bag.photo" class="small" :href="`/api/systems/${system.slug}/notes/${bag.id}/photo`"
        >picture</a
      >
    </p>
    <template v-if="!bag.in_at && bag.answer">
      <BagAnswer :bag="bag.answer" :assumed-ph="bag.ph === null" :assumed-tan="bag.tan_mg_l === null" />
      <p v-if="!bag.answer.bag" class="soft">Measure its temperature at least: the rest can be reckoned.</p>
      <div v-if="writes" class="deeds">
        <TypedField
          v-if="mayDrip"
          v-model="form.drip_l_min"
          label="My drip"
          unit="L/min"
          hint="empty is the one above"
          :error="send.errors.value.drip_l_min"
        />
        <NButton v-if="mayDrip" :loading="send.pending.value" @click="send.send(drip)"
          >Start the drip</NButton
        >
        <NButton v-if="bag.dripping" @click="send.send(stop)">Stop the drip</NButton>
        <NButton :type="mayDrip ? 'default' : 'primary'" @click="open = open === 'in' ? '' : 'in'"
          >Put them in</NButton
        >
        <NButton @click="open = open === 'measure' ? '' : 'measure'">Measured</NButton>
        <button
          type="button"
          class="link-button small"
          :aria-label="`Remove ${bag.name}`"
          @click="send.send(remove)"
        >
          Remove
        </button>
      </div>
      <form
        v-if="open === 'in'"
        class="deeds"
        novalidate
        aria-label="Put them in"
        @submit.prevent="send.send(putIn)"
      >
        <p v-if="startsAgain" class="caution whole">{{ startsAgain }}</p>
        <TypedField
          v-model="form.dead"
          label="Dead on arrival"
          hint="empty is none"
          :error="send.errors.value.dead"
        />
        <PickField v-model="form.vessel_id" label="Into" :choices="bays" />
        <NButton type="primary" attr-type="submit" :loading="send.pending.value">They are in</NButton>
      </form>
      <BagForm v-if="open === 'measure'" :system="system" :shipment="shipment" :bag="bag" @done="open = ''" />
    </template>
    <button
      v-else-if="writes"
      type="button"
      class="link-button small"
      :aria-label="`Undo: ${bag.name} are in`"
      @click="send.send(takeBack)"
    >
      Undo
    </button>
    <p v-if="send.trouble.value" class="fault" role="alert">{{ send.trouble.value }}</p>
  </li>
</template>

<style scoped>
li {
  padding: 0.75rem 0;
  border-bottom: 1px solid var(--hair);
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 1rem;
  align-items: baseline;
}

.head b {
  font-size: 1.1rem;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem 1.25rem;
  align-items: end;
  margin: 0.6rem 0;
}

.whole {
  flex-basis: 100%;
}
</style>
