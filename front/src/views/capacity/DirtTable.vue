<script setup lang="ts">
import { NInput } from 'naive-ui'
import { reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { Filter, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import FormField from '@/parts/FormField.vue'
import TypedField from '@/parts/TypedField.vue'
import { figures } from '@/units/number'
import { symbolOf, valueOf } from '@/units/chosen'

const props = defineProps<{ system: System; filter: Filter; writes: boolean }>()
const form = reactive({ at: '', seen_pct: '' })

const number = (value: number | null, digits = 2) => (value === null ? 'not known' : figures(value, digits))
const path = (id: string) => ({ params: { path: { system: props.system.slug, id } } })
const book = useSend(
  (what: { stage: string; seen: boolean }, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/filter/flushes/{id}', {
        ...path(key),
        body: {
          stage: what.stage,
          at: form.at || null,
          seen_pct: what.seen ? form.seen_pct : null,
        },
      }),
    ),
  () => Object.assign(form, { at: '', seen_pct: '' }),
  (what) => what.stage,
)
const undo = useSend((id: string) =>
  answer(() => api.DELETE('/api/systems/{system}/filter/flushes/{id}', path(id))),
)
type Row = Filter['dirt'][number]
/** Of a stage that catches nothing there is nothing to say. */
const held = (row: Row, value: number | null) => (row.caught_g_d > 0 ? number(value) : '—')
const blocks = (row: Row) => {
  if (row.caught_g_d <= 0) return 'catches none'
  if (!row.room_known) return 'not known'
  if (row.blocks_in_d !== null) return number(row.blocks_in_d)
  return row.blocks_after_d === null ? 'not known' : `${number(row.blocks_after_d)} after a flush`
}
</script>

<!-- Where the dirt lies: what each stage caught, how far it is fouled, what rots back; flushed with a time. -->
<template>
  <section class="part" aria-label="Dirt">
    <h2>Dirt</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="Dirt by stage">
      <table>
        <thead>
          <tr>
            <th>Stage</th>
            <th class="num">Catches, {{ symbolOf('g/d') }}</th>
            <th class="num">Holds now, {{ symbolOf('g') }}</th>
            <th class="num">Fouled, %</th>
            <th class="num">Blocks in, days</th>
            <th class="num">Ammonia from dirt, g N/day</th>
            <th class="num">Oxygen used, g/day</th>
            <th>Flushed</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in filter.dirt" :key="row.id">
            <td>
              <b>{{ row.name }}</b>
            </td>
            <td class="num">{{ number(valueOf(row.caught_g_d, 'g/d')) }}</td>
            <td class="num">{{ held(row, row.stored_g === null ? null : valueOf(row.stored_g, 'g')) }}</td>
            <td class="num">{{ held(row, row.fouling_pct) }}</td>
            <td class="num">{{ blocks(row) }}</td>
            <td class="num">{{ held(row, row.tan_back_g_d) }}</td>
            <td class="num">{{ held(row, row.o2_back_g_d) }}</td>
            <td>
              <template v-if="row.caught_g_d > 0 || row.cleaned">{{ row.cleaned ?? 'not noted' }}</template>
              <template v-if="writes && row.caught_g_d > 0">
                <button
                  type="button"
                  class="link-button small"
                  :aria-label="`${row.name} was flushed`"
                  :disabled="book.pending.value"
                  @click="book.send({ stage: row.id, seen: false })"
                >
                  Flushed
                </button>
                <button
                  v-if="form.seen_pct"
                  type="button"
                  class="link-button small"
                  :aria-label="`${row.name} was seen ${form.seen_pct} % fouled`"
                  :disabled="book.pending.value"
                  @click="book.send({ stage: row.id, seen: true })"
                >
                  Seen
                </button>
                <button
                  v-if="row.last"
                  type="button"
                  class="link-button small"
                  :aria-label="`Undo: ${row.last.text}, ${row.last.age}`"
                  :disabled="undo.pending.value"
                  @click="undo.send(row.last.id)"
                >
                  Undo
                </button>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="filter.dirt.some((row) => row.caught_g_d > 0 && !row.room_known)" class="caution">
      {{
        filter.dirt
          .filter((row) => row.caught_g_d > 0 && !row.room_known)
          .map((row) => row.name)
          .join(', ')
      }}: enter its litres of media or of water on Build to see when it blocks.
    </p>
    <div v-if="writes" class="fields">
      <FormField
        v-slot="{ id, status, described }"
        class="when"
        label="When"
        hint="empty is now"
        :error="book.errors.value.at"
        ><NInput
          v-model:value="form.at"
          :status="status"
          placeholder=""
          :input-props="{ id, type: 'datetime-local', 'aria-describedby': described }"
      /></FormField>
      <TypedField
        v-model="form.seen_pct"
        label="Seen fouled"
        unit="%"
        hint="then press Seen at its stage"
        :error="book.errors.value.seen_pct"
      />
    </div>
    <p v-if="book.trouble.value || undo.trouble.value" class="fault" role="alert">
      {{ book.trouble.value || undo.trouble.value }}
    </p>
  </section>
</template>

<style scoped>
p {
  margin: 0.6rem 0;
}

/* A date with its time is wider than a number. */
.fields > .when {
  width: 16rem;
}
</style>
