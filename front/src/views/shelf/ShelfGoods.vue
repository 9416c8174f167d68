<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Shelf } from '@/api/types'
import { useSend } from '@/api/useSend'
import ChoiceField from '@/parts/ChoiceField.vue'
import FormField from '@/parts/FormField.vue'
import TypedField from '@/parts/TypedField.vue'

defineProps<{ shelf: Shelf; writes: boolean }>()
const KINDS: Record<string, string> = { conditioner: 'conditioner against chlorine', binder: 'ammonia binder', culture: 'bacterial culture', agent: 'another agent, by its label' }
const EMPTY = { name: '', kind: 'conditioner', label_ml: '', label_treats_l: '', label_chlorine_mg_l: '', label_binds_mg_l: '', cap_ml: '', expires_on: '', unit: 'mL' }
const open = ref<string>()
const form = reactive({ ...EMPTY })
type Good = Shelf['goods'][number]
function edit(good: Good | null): void {
  Object.assign(form, EMPTY)
  if (good) Object.assign(form, { name: good.name, kind: good.kind, cap_ml: good.cap_ml === null ? '' : String(good.cap_ml), expires_on: good.expires_on ?? '' }, Object.fromEntries(Object.entries(good.label).map(([key, value]) => [key, String(value)])))
  open.value = good?.id ?? ulid()
}
const says = (good: Good) => `${String(good.label.label_ml)} ${good.label.unit === 'g' ? 'g' : 'mL'} for ${String(good.label.label_treats_l)} L${good.label.label_binds_mg_l ? `, binding ${String(good.label.label_binds_mg_l)} mg/L of ammonia` : ''}${good.label.label_chlorine_mg_l ? `, against ${String(good.label.label_chlorine_mg_l)} mg/L of chlorine` : ''}${good.cap_ml === null ? '' : `, caps of ${good.cap_ml} mL`}`
const binds = computed(() => form.kind === 'binder')
const save = useSend(() => '', () => answer(() => api.PUT('/api/goods/{id}', { params: { path: { id: open.value ?? '' } }, body: { ...form } })), () => (open.value = undefined))
const remove = useSend(() => '', (id: string) => answer(() => api.DELETE('/api/goods/{id}', { params: { path: { id } } })), () => (open.value = undefined))
</script>

<!-- What stands on the shelf, by its own label: no brand and no dose is assumed. -->
<template>
  <section class="part" aria-label="Bottles and cans">
    <h2>Bottles and cans</h2>
    <p class="soft small">Doses go by the label of what stands here. A spare culture, binder, salt and battery air are worth having before they are needed.</p>
    <ul class="rows">
      <li v-for="good in shelf.goods" :key="good.id"><b>{{ good.name }}</b> <span class="soft">{{ KINDS[good.kind] }}, {{ says(good) }}<template v-if="good.expires_on">, until {{ good.expires_on }}</template></span> <b v-if="good.expired" class="fault small">expired</b><button v-if="writes" type="button" class="link-button small" :aria-label="`Change ${good.name}`" @click="edit(good)">Change</button></li>
    </ul>
    <form v-if="open" class="fields" novalidate @submit.prevent="save.send(undefined)">
      <TypedField v-model="form.name" label="Name" words :error="save.errors.value.name" />
      <FormField v-slot="{ id, status }" label="It is" :error="save.errors.value.kind"><ChoiceField :id="id" v-model="form.kind" :status="status" :choices="Object.entries(KINDS).map(([value, label]) => ({ value, label }))" /></FormField>
      <TypedField v-model="form.label_ml" label="By its label" :unit="form.unit" :error="save.errors.value.label_ml" />
      <FormField v-if="form.kind === 'agent'" v-slot="{ id, status }" label="measured in"><ChoiceField :id="id" v-model="form.unit" :status="status" :choices="[{ value: 'mL', label: 'mL' }, { value: 'g', label: 'g' }]" /></FormField>
      <TypedField v-model="form.label_treats_l" label="for" unit="L" :error="save.errors.value.label_treats_l" />
      <TypedField v-if="binds" v-model="form.label_binds_mg_l" label="and binds" unit="mg/L as N" :error="save.errors.value.label_binds_mg_l" />
      <TypedField v-if="form.kind === 'conditioner'" v-model="form.label_chlorine_mg_l" label="against chlorine of" unit="mg/L" hint="empty: not said" :error="save.errors.value.label_chlorine_mg_l" />
      <TypedField v-model="form.cap_ml" label="A cap holds" unit="mL" :error="save.errors.value.cap_ml" />
      <TypedField v-model="form.expires_on" label="Good until" day :error="save.errors.value.expires_on" />
      <NButton type="primary" attr-type="submit" :loading="save.pending.value">Keep it</NButton>
      <button v-if="shelf.goods.some((good) => good.id === open)" type="button" class="link-button" @click="remove.send(open ?? '')">Take it off the shelf</button>
      <button type="button" class="link-button" @click="open = undefined">Leave it</button>
    </form>
    <button v-else-if="writes" type="button" class="link-button" @click="edit(null)">Add a bottle</button>
    <p v-if="save.trouble.value" class="fault" role="alert">{{ save.trouble.value }}</p>
  </section>
</template>
