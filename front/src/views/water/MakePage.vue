<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { computed, reactive } from 'vue'
import { useBlend } from '@/api/queries'
import type { System } from '@/api/types'
import BenchForm from '@/parts/BenchForm.vue'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { whole } from './useWaterForm'
import { whole as volume } from '@/units/chosen'

const props = defineProps<{ system: System }>()
const typed = reactive({
  water_1: '',
  water_2: '',
  water_3: '',
  target_no3_n_mg_l: '',
  target_alkalinity_mg_l: '',
  target_hardness_mg_l: '',
  volume_l: '',
})
const asked = useDebounce(
  computed(() => Object.fromEntries(Object.entries(typed).filter(([, text]) => text.trim() !== ''))),
  250,
)
const blended = useBlend(() => props.system.slug, asked)
const blend = computed(() => blended.data.value)
const waters = computed(() => blend.value?.waters.map((row) => ({ value: row.id, label: row.name })) ?? [])
const WAYS = ['water_1', 'water_2', 'water_3'] as const
</script>

<template>
  <section class="part" aria-label="Blend">
    <h2>Blend two or three waters</h2>
    <p v-if="blended.isError.value" class="fault" role="alert">{{ blended.error.value?.message }}</p>
    <template v-if="blend">
      <form class="fields" novalidate @submit.prevent>
        <PickField
          v-for="(way, i) in WAYS"
          :key="way"
          :label="['Water', 'and', 'and perhaps'][i] ?? ''"
          :error="blend.errors[way]"
          :model-value="typed[way] || blend.chosen[i] || ''"
          :choices="[{ value: '', label: 'none' }, ...waters]"
          @update:model-value="typed[way] = $event ?? ''"
        />
        <TypedField
          v-model="typed.target_no3_n_mg_l"
          label="Nitrate wanted"
          unit="mg/L as NO₃"
          :error="blend.errors.target_no3_n_mg_l"
        />
        <TypedField
          v-model="typed.target_alkalinity_mg_l"
          label="KH wanted"
          unit="dKH"
          :error="blend.errors.target_alkalinity_mg_l"
        />
        <TypedField
          v-model="typed.target_hardness_mg_l"
          label="GH wanted"
          unit="dGH"
          :error="blend.errors.target_hardness_mg_l"
        />
        <TypedField
          v-model="typed.volume_l"
          label="To make"
          unit="L"
          placeholder="100"
          :error="blend.errors.volume_l"
        />
      </form>
      <template v-if="blend.parts.length">
        <p class="sum">
          <template v-for="(part, i) in blend.parts" :key="part.name"
            ><template v-if="i"> + </template><b>{{ whole(part.share_pct) }} %</b> {{ part.name
            }}<template v-if="part.litres !== null"> ({{ volume(part.litres, 'L') }})</template></template
          >
        </p>
        <p>
          <template v-for="(row, i) in blend.after" :key="row.name"
            ><template v-if="i">, </template>{{ row.name }} <b>{{ row.text }}</b></template
          ><template v-if="blend.reached">: as wanted.</template
          ><template v-else>: as near as these waters come.</template>
        </p>
        <p v-for="line in blend.minerals" :key="line">
          Then <b>{{ line }}</b>.
        </p>
      </template>
      <p v-else class="soft">Type what the water is to have.</p>
      <p v-for="line in blend.cautions" :key="line" class="caution">{{ line }}</p>
    </template>
  </section>

  <BenchForm
    :system="system"
    bench="dechlorinate"
    hint="For the new water only. By stoichiometry, or by the label of the conditioner you have."
  />
  <p class="caution">
    Spraying drives free chlorine off and does nothing against chloramine. The one exception to all of this:
    where fish are dying for want of oxygen, water straight from the hose is better than none.
  </p>
  <BenchForm
    :system="system"
    bench="carbon"
    hint="Sediment of 10 to 15 micron first, then carbon. A fast top-up after a backwash can outrun it."
  />
</template>

<style scoped>
.sum {
  font-size: 1.3rem;
}
</style>
