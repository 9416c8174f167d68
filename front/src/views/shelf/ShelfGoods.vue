<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Shelf } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { day } from '@/units/time'
import { quantity } from '@/units/chosen'

const props = defineProps<{ shelf: Shelf; writes: boolean }>()
const EMPTY = {
  name: '',
  kind: 'binder',
  label_ml: '',
  label_treats_l: '',
  label_chlorine_mg_l: '',
  label_binds_mg_l: '',
  cap_ml: '',
  amount: '',
  strength_pct: '',
  opened_on: '',
  lot: '',
  expires_on: '',
  unit: 'mL',
}
const open = ref<string>()
const form = reactive({ ...EMPTY })
type Good = Shelf['goods'][number]
const text = (value: number | string | null) => (value === null ? '' : String(value))
function edit(good: Good | null): void {
  Object.assign(form, EMPTY)
  if (good)
    Object.assign(
      form,
      {
        name: good.name,
        kind: good.kind,
        unit: good.unit,
        cap_ml: text(good.cap_ml),
        amount: text(good.amount),
        strength_pct: text(good.strength_pct),
        opened_on: text(good.opened_on),
        lot: text(good.lot),
        expires_on: text(good.expires_on),
      },
      Object.fromEntries(Object.entries(good.label).map(([key, value]) => [key, String(value)])),
    )
  open.value = good?.id ?? ulid()
}
const kindOf = (id: string) => props.shelf.kinds.find((kind) => kind.id === id)
const kind = computed(() => kindOf(form.kind))
const unit = computed(() => (form.kind === 'agent' ? form.unit : (kind.value?.unit ?? 'mL')))
const asks = (key: string) => kind.value?.label.includes(key) ?? false
function says(good: Good): string {
  const label = good.label as Record<string, number>
  return [
    kindOf(good.kind)?.name.toLowerCase(),
    good.strength_pct === null ? '' : `${good.strength_pct} %`,
    label.label_ml
      ? [
          `${label.label_ml} ${good.unit} for ${quantity(label.label_treats_l ?? 0, 'L')}`,
          label.label_binds_mg_l ? `, binding ${label.label_binds_mg_l} mg/L of ammonia` : '',
          label.label_chlorine_mg_l ? `, against ${label.label_chlorine_mg_l} mg/L of chlorine` : '',
        ].join('')
      : '',
    good.cap_ml === null ? '' : `caps of ${good.cap_ml} mL`,
    good.lot === null ? '' : `lot ${good.lot}`,
    good.opened === null ? '' : `opened ${good.opened}`,
    good.expires_on === null ? '' : `${good.expired ? 'went off' : 'until'} ${day(good.expires_on)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
const STANDS: Record<string, string> = {
  there: 'there',
  uncounted: 'there, not counted',
  short: 'too little',
  expired: 'gone off',
  missing: 'missing',
}
const save = useSend(
  () =>
    answer(() =>
      api.PUT('/api/goods/{id}', {
        params: { path: { id: open.value ?? '' } },
        body: { ...form, unit: unit.value },
      }),
    ),
  () => (open.value = undefined),
)
const remove = useSend(
  (id: string) => answer(() => api.DELETE('/api/goods/{id}', { params: { path: { id } } })),
  () => (open.value = undefined),
)
</script>

<!-- What stands on the shelf, by its own label, and what should: no brand and no dose is assumed. -->
<template>
  <section class="part" aria-label="Products">
    <h2>Products</h2>
    <p class="soft small">Doses use the labels of these products, and stock is counted down.</p>
    <ul class="rows">
      <li v-for="good in shelf.goods" :key="good.id" class="good">
        <b>{{ good.name }}</b> <span>{{ good.left ? `${good.left} left` : '' }}</span>
        <span class="soft">{{ says(good) }} <b v-if="good.expired" class="fault small">expired</b></span
        ><button
          v-if="writes"
          type="button"
          class="link-button small"
          :aria-label="`Change ${good.name}`"
          @click="edit(good)"
        >
          Change
        </button>
      </li>
    </ul>
    <form v-if="open" class="editor" novalidate @submit.prevent="save.send(undefined)">
      <PickField
        label="It is"
        :error="save.errors.value.kind"
        v-model="form.kind"
        :choices="shelf.kinds.map((row) => ({ value: row.id, label: row.name }))"
      />
      <TypedField v-model="form.name" label="Name" words :error="save.errors.value.name" />
      <PickField
        v-if="form.kind === 'agent'"
        label="Unit"
        v-model="form.unit"
        :choices="[
          { value: 'mL', label: 'mL' },
          { value: 'g', label: 'g' },
        ]"
      />
      <TypedField
        v-if="asks('label_ml')"
        v-model="form.label_ml"
        label="Label dose"
        :unit="unit"
        :error="save.errors.value.label_ml"
      />
      <TypedField
        v-if="asks('label_treats_l')"
        v-model="form.label_treats_l"
        label="for"
        unit="L"
        :error="save.errors.value.label_treats_l"
      />
      <TypedField
        v-if="asks('label_binds_mg_l')"
        v-model="form.label_binds_mg_l"
        label="and binds"
        unit="mg/L as N"
        :error="save.errors.value.label_binds_mg_l"
      />
      <TypedField
        v-if="asks('label_chlorine_mg_l')"
        v-model="form.label_chlorine_mg_l"
        label="against chlorine of"
        unit="mg/L"
        hint="empty: not said"
        :error="save.errors.value.label_chlorine_mg_l"
      />
      <TypedField
        v-if="kind?.has_strength"
        v-model="form.strength_pct"
        label="Strength"
        unit="%"
        :hint="kind.usual_pct === null ? '' : `empty: ${kind.usual_pct}`"
        :error="save.errors.value.strength_pct"
      />
      <TypedField
        v-if="unit === 'mL'"
        v-model="form.cap_ml"
        label="Cap size"
        unit="mL"
        hint="empty: no cap"
        :error="save.errors.value.cap_ml"
      />
      <TypedField
        v-model="form.amount"
        label="Amount left"
        :unit="unit"
        hint="empty: not counted"
        :error="save.errors.value.amount"
      />
      <TypedField
        v-model="form.opened_on"
        label="Opened"
        day
        hint="empty: unopened"
        :error="save.errors.value.opened_on"
      />
      <TypedField v-model="form.expires_on" label="Expires on" day :error="save.errors.value.expires_on" />
      <TypedField v-model="form.lot" label="Lot" words :error="save.errors.value.lot" />
      <div class="whole buttons">
        <NButton type="primary" attr-type="submit" :loading="save.pending.value">Save</NButton>
        <button
          v-if="shelf.goods.some((good) => good.id === open)"
          type="button"
          class="link-button"
          @click="remove.send(open ?? '')"
        >
          Remove it
        </button>
        <button type="button" class="link-button" @click="open = undefined">Cancel</button>
      </div>
    </form>
    <button v-else-if="writes" type="button" class="link-button" @click="edit(null)">Add a product</button>
    <p v-if="save.trouble.value" class="fault" role="alert">{{ save.trouble.value }}</p>
  </section>
  <section v-if="shelf.wanted.length" class="part" aria-label="Before it is needed">
    <h2>Have in stock</h2>
    <p class="soft small">What an emergency would need, for the systems you keep.</p>
    <ul class="rows">
      <li v-for="row in shelf.wanted" :key="row.name" class="want">
        <b>{{ row.name }}</b> <span class="amount">{{ row.wanted ?? '' }}</span>
        <b
          class="small"
          :class="{
            fault: ['short', 'expired', 'missing'].includes(row.stands),
            fine: row.stands === 'there',
          }"
          >{{ STANDS[row.stands] }}{{ row.stands === 'short' && row.have ? `: ${row.have}` : '' }}</b
        >
        <span class="soft">{{ row.why }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.good,
.want {
  display: grid;
  grid-template-columns: 14rem 8rem minmax(0, 1fr) auto;
}

.want {
  grid-template-columns: 14rem 8rem 10rem minmax(0, 1fr);
}

.fine {
  font-weight: 400;
}

@media (max-width: 720px) {
  .good,
  .want {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .good > .soft {
    grid-row: 2;
  }

  .want > .soft {
    grid-column: 1 / -1;
  }
}
</style>
