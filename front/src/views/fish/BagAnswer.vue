<script setup lang="ts">
import type { BagAnswer } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import { figures } from '@/units/number'

/** What was not measured and is reckoned is said to be assumed. */
defineProps<{ bag: BagAnswer; assumedPh: boolean; assumedTan: boolean }>()
</script>

<!-- What opening a bag does, and how its fish get into this water. -->
<template>
  <section v-if="bag.bag" class="part" aria-label="Opening it">
    <h2>Opening it</h2>
    <p v-for="one in bag.cautions" :key="one.code" :class="{ caution: one.level === 'danger' }">
      {{ one.text }}
    </p>
    <p v-if="bag.reckoned && (assumedPh || assumedTan)" class="soft small">
      Assumed from the fish and the hours, on the safe side:
      <template v-if="assumedTan">ammonia {{ figures(bag.reckoned.tan_mg_l, 2) }} mg/L as N</template
      ><template v-if="assumedTan && assumedPh">, </template
      ><template v-if="assumedPh">pH {{ figures(bag.reckoned.ph, 2) }}</template
      >. Measure them.
    </p>
    <dl class="numbers">
      <div>
        <dt>Carbon dioxide in it</dt>
        <dd>
          <b>{{ figures(bag.bag.co2_mg_l, 2) }}</b> <span class="soft small">mg/L</span>
        </dd>
      </div>
      <div>
        <dt>pH, aired</dt>
        <dd>
          <b>{{ figures(bag.bag.ph_aired, 3) }}</b>
        </dd>
      </div>
      <div>
        <dt>Un-ionised ammonia, closed</dt>
        <dd>
          <b>{{ figures(bag.bag.nh3_in_bag_mg_l, 2) }}</b> <span class="soft small">mg/L as N</span>
        </dd>
      </div>
      <div>
        <dt>and aired</dt>
        <dd>
          <b>{{ figures(bag.bag.nh3_aired_mg_l, 2) }}</b> <span class="soft small">mg/L as N</span>
        </dd>
      </div>
    </dl>
  </section>
  <section v-if="bag.drip" class="part" aria-label="Into this water">
    <h2>Into this water</h2>
    <p v-for="one in bag.drip.cautions" :key="one.code" :class="{ caution: one.level !== 'note' }">
      {{ one.text }}
    </p>
    <ol v-if="bag.drip.match.length" class="match" aria-label="Match the tub first">
      <li v-for="one in bag.drip.match" :key="one.code">{{ one.text }}</li>
    </ol>
    <dl v-if="bag.drip.minutes?.value" class="numbers">
      <div v-for="figure in [bag.drip.drip_l_min, bag.drip.minutes, bag.drip.added_l]" :key="figure?.label">
        <template v-if="figure">
          <dt>{{ figure.label }}</dt>
          <dd><FigureButton :figure="figure" big /></dd>
        </template>
      </div>
    </dl>
    <p v-if="bag.drip.limiting" class="soft small">{{ bag.drip.limiting }} is farthest apart.</p>
  </section>
</template>

<style scoped>
.match {
  max-width: 46rem;
  padding-left: 1.2rem;
}
</style>
