<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Looks, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PhotoField from '@/parts/PhotoField.vue'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import FishOutline from './FishOutline.vue'
import type { Mark, View } from './outline'
import { PLACES } from './outline'

const props = defineProps<{ system: System; looks: Looks }>()
const emit = defineEmits<{ done: [] }>()
interface Seen {
  sign: string
  count: string
  severity: string
}
const empty = () => ({
  whom: '',
  came_up: '',
  scrape: '',
  scrape_seen: '',
  length_cm: '',
  weight_g: '',
  words: '',
  photo: '',
})
const form = reactive(empty())
const seen = ref<Seen[]>([])
const marks = ref<Mark[]>([])
/** The sign that a press on the drawing marks. */
const marking = ref('')
const id = ref(ulid())

const whom = computed(() => [
  { value: '', label: 'all of them' },
  ...props.looks.groups.map((one) => ({ value: `group ${one.id}`, label: `${one.name}, ${one.count}` })),
  ...props.looks.singles.map((one) => ({ value: `single ${one.id}`, label: one.name })),
])
const placed = computed(() =>
  seen.value.filter((one) => props.looks.signs.find((sign) => sign.sign === one.sign)?.placed),
)
const has = (sign: string) => seen.value.some((one) => one.sign === sign)
function toggle(sign: string, on: boolean): void {
  seen.value = seen.value.filter((one) => one.sign !== sign)
  if (on) seen.value.push({ sign, count: '1', severity: '2' })
  else marks.value = marks.value.filter((one) => one.sign !== sign)
  if (!has(marking.value)) marking.value = placed.value[0]?.sign ?? ''
}
function mark(view: View, x: number, y: number): void {
  if (marking.value) marks.value.push({ sign: marking.value, view, x, y })
}
function markAt(name: string | null | undefined): void {
  const at = PLACES.find((one) => one.name === name)
  if (at) mark(at.view, at.x, at.y)
}
const keep = useSend(
  (nothing: boolean) => {
    const [kind, key] = form.whom.split(' ')
    return answer(() =>
      api.PUT('/api/systems/{system}/looks/{id}', {
        params: { path: { system: props.system.slug, id: id.value } },
        body: {
          ...form,
          photo: form.photo || null,
          nothing,
          group: kind === 'group' ? key : null,
          single: kind === 'single' ? key : null,
          signs: seen.value.map((one) => ({
            ...one,
            count: Number(one.count),
            severity: Number(one.severity),
          })),
          marks: marks.value,
        },
      }),
    )
  },
  () => {
    Object.assign(form, empty())
    seen.value = []
    marks.value = []
    marking.value = ''
    id.value = ulid()
    emit('done')
  },
)
const SEVERITY = [
  { value: '1', label: 'slight' },
  { value: '2', label: 'clear' },
  { value: '3', label: 'bad' },
]
</script>

<!-- What is seen on fish: signs, how many and how bad, where, a scrape, a size, a picture. -->
<template>
  <form novalidate aria-label="Look at fish" @submit.prevent="keep.send(false)">
    <PickField
      v-model="form.whom"
      label="Whom do you look at?"
      :choices="whom"
      :error="keep.errors.value.group"
    />
    <fieldset class="signs">
      <legend>What do you see?</legend>
      <label v-for="one in looks.signs" :key="one.sign" :class="{ on: has(one.sign) }"
        ><input
          type="checkbox"
          :checked="has(one.sign)"
          @change="toggle(one.sign, ($event.target as HTMLInputElement).checked)"
        />
        {{ one.sign }}</label
      >
    </fieldset>
    <ul v-if="seen.length" class="rows seen" aria-label="What you see">
      <li v-for="(one, i) in seen" :key="one.sign">
        <b>{{ one.sign }}</b>
        <TypedField v-model="one.count" label="How many" :error="keep.errors.value[`signs.${i}.count`]" />
        <PickField v-model="one.severity" label="How bad" :choices="SEVERITY" />
      </li>
    </ul>
    <section v-if="placed.length" aria-label="Where">
      <p class="where">
        Press where it is on the fish.
        <label v-for="one in placed" :key="one.sign"
          ><input v-model="marking" type="radio" :value="one.sign" /> {{ one.sign }}</label
        >
      </p>
      <FishOutline :marks="marks" pressable @press="mark" />
      <div class="fields">
        <PickField
          :model-value="''"
          label="Or choose the place"
          :choices="[
            { value: '', label: '' },
            ...PLACES.map((one) => ({ value: one.name, label: one.name })),
          ]"
          @update:model-value="markAt"
        />
        <button v-if="marks.length" type="button" class="link-button small" @click="marks.pop()">
          Remove the last mark
        </button>
      </div>
    </section>
    <div class="fields">
      <PickField
        v-model="form.came_up"
        label="Did they come up to feed?"
        :choices="[
          { value: '', label: 'not fed' },
          { value: 'yes', label: 'came up' },
          { value: 'slowly', label: 'came up slowly' },
          { value: 'no', label: 'did not come up' },
        ]"
      />
      <PickField
        v-model="form.scrape"
        label="Scrape taken of"
        :choices="[
          { value: '', label: 'none' },
          { value: 'skin', label: 'the skin' },
          { value: 'gill', label: 'a gill' },
          { value: 'fin', label: 'a fin' },
        ]"
      />
      <TypedField
        v-if="form.scrape"
        v-model="form.scrape_seen"
        label="Seen in the scrape"
        words
        hint="empty is clear"
        :error="keep.errors.value.scrape_seen"
      />
      <TypedField v-model="form.length_cm" label="Length" unit="cm" :error="keep.errors.value.length_cm" />
      <TypedField v-model="form.weight_g" label="Weight" unit="g" :error="keep.errors.value.weight_g" />
    </div>
    <TypedField v-model="form.words" label="Note" words :error="keep.errors.value.words" />
    <PhotoField v-model="form.photo" :error="keep.errors.value.photo" />
    <div class="buttons">
      <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Book the look</NButton>
      <NButton v-if="!seen.length" :loading="keep.pending.value" @click="keep.send(true)"
        >Looked, nothing wrong</NButton
      >
    </div>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 0.9rem;
  max-width: 58rem;
  margin-top: 0.6rem;
}

form > .field {
  max-width: 24rem;
}

.signs {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 0.6rem;
  padding: 0;
  margin: 0;
  border: 0;
}

.signs legend {
  padding: 0;
  margin-bottom: 0.5rem;
  font-size: 1.15rem;
  font-weight: 700;
}

.signs label {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 40px;
  padding: 0.25rem 0.75rem;
  border: 1px solid var(--hair);
  border-radius: 2px;
  background: var(--sheet);
  cursor: pointer;
}

.signs .on {
  border-color: var(--ink);
  font-weight: 700;
}

.seen li {
  display: grid;
  grid-template-columns: 12rem 8rem 10rem;
  gap: 0 1rem;
  align-items: end;
}

.where {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1.25rem;
  margin-bottom: 0.5rem;
}

.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem 1.5rem;
  align-items: end;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem;
}

@media (max-width: 720px) {
  .signs {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }

  .seen li {
    grid-template-columns: 1fr 5rem 7rem;
  }
}
</style>
