<script setup lang="ts">
import { useClearWater } from '@/api/queries'
import type { System } from '@/api/types'
import { quantity } from '@/units/chosen'
import { figures } from '@/units/number'
import { day } from '@/units/time'

const props = defineProps<{ system: System }>()
const page = useClearWater(() => props.system.slug)
const NAMES = { shade: 'Shade', feed: 'Less feed', plants: 'Plants', lamp: 'UV lamp' } as const
const signed = (value: number) =>
  Math.abs(value) < 0.005 ? '0' : `${value > 0 ? '+' : '−'}${figures(Math.abs(value), 2)}`
</script>

<!-- Ways to clear green water beside one another, and what a lamp that was lit did. -->
<template>
  <p v-if="page.isError.value" class="fault" role="alert">{{ page.error.value?.message }}</p>
  <p v-else-if="!page.data.value" class="soft">Opening …</p>
  <template v-else>
    <p class="small">
      <RouterLink :to="{ name: 'service', params: { system: system.slug } }">Service</RouterLink>
    </p>
    <h2>Clear the water</h2>
    <p class="soft small">
      Assumed: a bloom takes nitrate, and oxygen by night, as plants over the whole surface would. What ends
      it ends that too.<template v-if="!page.data.value.nitrate_known">
        Nitrate was never tested: nothing is counted as taken. Test it first.</template
      >
    </p>
    <div class="scroll" tabindex="0" role="region" aria-label="Ways beside one another">
      <table>
        <thead>
          <tr>
            <th>Way</th>
            <th class="num">Nitrate left, g N/d</th>
            <th class="num">Oxygen used by night, g/h</th>
            <th class="num">Power, W</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="way in page.data.value.ways" :key="way.id">
            <th scope="row">{{ NAMES[way.id] }}</th>
            <td class="num">
              {{ signed(way.nitrate_g_d.usual)
              }}<span v-if="way.nitrate_g_d.low !== way.nitrate_g_d.high" class="soft small"
                ><br />{{ signed(way.nitrate_g_d.low) }} to {{ signed(way.nitrate_g_d.high) }}</span
              >
            </td>
            <td class="num">{{ signed(way.night_g_h) }}</td>
            <td class="num">
              {{ way.watts ? figures(way.watts, 3) : '0'
              }}<span v-if="way.watts && way.cost_d !== null" class="soft small"
                ><br />{{ figures(way.cost_d, 2) }} a day</span
              >
            </td>
            <td>
              <p v-for="one in way.says" :key="one.code">{{ one.text }}</p>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <section v-if="page.data.value.lamps.length" class="part" aria-label="A week with the lamp">
      <h2>A week with the lamp</h2>
      <p class="soft small">
        Measure sight before it is lit and a week after, at the same spot and hour; write the spot with the
        reading.
      </p>
      <div v-for="lamp in page.data.value.lamps" :key="lamp.name" class="lamp">
        <p>
          <b>{{ lamp.name }}</b><template v-if="lamp.lit_at">, burning since {{ day(lamp.lit_at) }}</template
          ><template v-else>, off</template><template v-if="lamp.spot">. Sight at: {{ lamp.spot }}</template>
        </p>
        <dl v-if="lamp.before || lamp.after" class="sides">
          <div>
            <dt>Before</dt>
            <dd>
              <template v-if="lamp.before"
                ><b>{{ quantity(lamp.before.cm, 'cm') }}</b>
                <span class="soft small">{{ day(lamp.before.at) }}</span></template
              ><template v-else>not measured</template>
            </dd>
          </div>
          <div>
            <dt>After</dt>
            <dd>
              <template v-if="lamp.after"
                ><b>{{ quantity(lamp.after.cm, 'cm') }}</b>
                <span class="soft small">{{ day(lamp.after.at) }}</span></template
              ><template v-else>not yet</template>
            </dd>
          </div>
        </dl>
        <p v-if="lamp.says">{{ lamp.says.text }}</p>
      </div>
    </section>
  </template>
</template>

<style scoped>
th,
td {
  vertical-align: top;
}

td p {
  margin: 0;
}

.sides {
  display: grid;
  grid-template-columns: repeat(2, minmax(8rem, 16rem));
  gap: 0.5rem 2rem;
}

dt {
  font-size: 0.9375rem;
}

dd {
  margin: 0;
}

dd b {
  font-size: 1.5rem;
}
</style>
