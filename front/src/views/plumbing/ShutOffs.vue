<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook } from '@/api/queries'
import type { Plumbing } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import StateMark from '@/parts/StateMark.vue'
import { symbolOf, whole, wholeNumber } from '@/units/chosen'

const props = defineProps<{ plumbing: Plumbing; slug: string; writes: boolean }>()
const homes = computed(() => props.plumbing.vessels.filter((vessel) => vessel.holds_fish))
const off = (id: string) => props.plumbing.shut_off.find((row) => row.vessel_id === id)
const millimetres = (value: number) =>
  new Intl.NumberFormat('en-GB', { maximumFractionDigits: 0 }).format(value)
const turn = useMutation({
  mutationFn: ({ id, shut }: { id: string; shut: boolean }) =>
    answer(() =>
      api.PUT('/api/systems/{system}/vessels/{id}/shut-off', {
        params: { path: { system: props.slug, id } },
        body: { shut },
      }),
    ),
  onSuccess: async () => {
    await refreshBook()
  },
})
const trouble = computed(() =>
  turn.error.value instanceof Refusal
    ? (turn.error.value.errors.id ?? turn.error.value.message)
    : turn.error.value?.message,
)
</script>

<template>
  <section v-if="homes.length" class="part" aria-label="Vessels">
    <h2>Vessels</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="Vessels and their levels">
      <table>
        <thead>
          <tr>
            <th>Vessel</th>
            <th class="num">Holds, {{ symbolOf('L') }}</th>
            <th class="num">Level, mm</th>
            <th class="num">Over its lip, mm</th>
            <th class="num">May fall, mm</th>
            <th>Shut off</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="vessel in plumbing.vessels" :key="vessel.id">
            <td>
              <b>{{ vessel.name }}</b>
            </td>
            <td class="num">{{ wholeNumber(vessel.volume_l, 'L') }}</td>
            <td class="num">{{ vessel.level_mm ? millimetres(vessel.level_mm) : '' }}</td>
            <td class="num">{{ vessel.rise_mm === null ? '' : vessel.rise_mm.toFixed(1) }}</td>
            <td class="num">
              {{ vessel.may_fall_mm ?? ''
              }}<span v-if="vessel.may_lose_l !== null" class="soft small"
                >, {{ whole(vessel.may_lose_l, 'L') }}</span
              >
            </td>
            <td>
              <template v-if="off(vessel.id)">
                <StateMark :state="off(vessel.id)!.state" quiet /> shut {{ off(vessel.id)!.age
                }}<template v-if="off(vessel.id)!.limit"
                  >, its fish have <FigureButton :figure="off(vessel.id)!.limit!" /> in all</template
                >
                <button
                  v-if="writes"
                  type="button"
                  class="link-button again"
                  :disabled="turn.isPending.value"
                  @click="turn.mutate({ id: vessel.id, shut: false })"
                >
                  Open it
                </button>
              </template>
              <button
                v-else-if="writes && homes.includes(vessel) && homes.length > 1 && plumbing.lines.length"
                type="button"
                class="link-button small"
                :aria-label="`Shut off ${vessel.name}`"
                :disabled="turn.isPending.value"
                @click="turn.mutate({ id: vessel.id, shut: true })"
              >
                Shut it off
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="plumbing.bodies.length > 1">
      Doses and changes now apply to each separately:
      <template v-for="(body, i) in plumbing.bodies" :key="body.name"
        ><template v-if="i">, </template>{{ body.name }} <b>{{ whole(body.volume_l, 'L') }}</b></template
      >.
    </p>
    <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.again {
  margin-left: 1rem;
}

p {
  margin-top: 0.6rem;
}
</style>
