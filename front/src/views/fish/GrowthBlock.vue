<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { computed, reactive } from 'vue'
import { useGrowth } from '@/api/queries'
import type { System } from '@/api/types'
import TypedField from '@/parts/TypedField.vue'
import { quantity } from '@/units/chosen'
import { figures } from '@/units/number'

const props = defineProps<{ system: System }>()
const typed = reactive<Record<string, string>>({
  weeks: '',
  protein_a: '',
  digestibility_a: '',
  conversion_a: '',
  price_a: '',
  protein_b: '',
  digestibility_b: '',
  conversion_b: '',
  price_b: '',
})
const asked = useDebounce(
  computed(() => Object.fromEntries(Object.entries(typed).filter(([, value]) => value.trim() !== ''))),
  300,
)
const query = useGrowth(() => props.system.slug, asked)
const growth = computed(() => query.data.value)
const FEEDS = [
  { key: 'a', name: 'This feed' },
  { key: 'b', name: 'Another' },
] as const
const FIELDS = [
  { key: 'protein', label: 'Protein', unit: '%' },
  { key: 'digestibility', label: 'Digestibility', unit: '%' },
  { key: 'conversion', label: 'Feed for a kg of growth', unit: 'kg' },
  { key: 'price', label: 'Price of a kg', unit: null },
] as const
const both = computed(() => growth.value?.feeds.a && growth.value.feeds.b)
</script>

<!-- What these fish weigh in some weeks and whether the filter can grow to it; two feeds beside one another. -->
<template>
  <section v-if="growth?.ahead.groups.length" class="part" aria-label="Growth">
    <h2>In {{ figures(growth.ahead.weeks, 3) }} weeks</h2>
    <p v-for="(one, i) in growth.ahead.says" :key="one.code" :class="i === 0 ? 'lead' : 'soft small'">
      {{ one.text }}
    </p>
    <ul class="rows">
      <li v-for="one in growth.ahead.groups" :key="one.id">
        <b>{{ one.name }}</b>
        <span
          >{{ quantity(one.now_g, 'g', 3) }} now, {{ quantity(one.then_g, 'g', 3) }} then,
          {{ quantity(one.then_cm, 'cm', 2) }} long</span
        >
        <span class="soft small"
          >coefficient {{ figures(one.tgc, 2) }}{{ one.fitted ? ', measured' : ', usual' }}</span
        >
      </li>
    </ul>
    <div class="fields">
      <TypedField
        v-model="typed.weeks!"
        label="Weeks ahead"
        hint="empty is 12"
        :error="growth.errors.weeks"
      />
    </div>
    <h3>Two feeds side by side</h3>
    <div class="feeds">
      <section v-for="feed in FEEDS" :key="feed.key" :aria-label="feed.name">
        <h4>{{ feed.name }}</h4>
        <div class="fields">
          <TypedField
            v-for="field in FIELDS"
            :key="field.key"
            v-model="typed[`${field.key}_${feed.key}`]!"
            :label="field.label"
            :unit="field.unit"
            :placeholder="
              field.key === 'protein' && growth.feeds[feed.key]
                ? String(growth.feeds[feed.key]?.protein_pct)
                : ''
            "
            :error="growth.errors[`${field.key}_${feed.key}`]"
          />
        </div>
        <dl v-if="growth.feeds[feed.key]" class="numbers">
          <div>
            <dt>Ammonia nitrogen</dt>
            <dd>
              <b>{{ figures(growth.feeds[feed.key]!.nitrogen_g_d, 3) }}</b>
              <span class="soft small">g a day</span>
            </dd>
          </div>
          <div v-if="growth.feeds[feed.key]!.share_pct !== null">
            <dt>Share of the filter</dt>
            <dd>
              <b>{{ figures(growth.feeds[feed.key]!.share_pct ?? 0, 2) }}</b>
              <span class="soft small">%</span>
            </dd>
          </div>
          <div>
            <dt>Solids</dt>
            <dd>
              <b>{{ figures(growth.feeds[feed.key]!.solids_g_d, 3) }}</b>
              <span class="soft small">g a day</span>
            </dd>
          </div>
          <div>
            <dt>For a kg of growth</dt>
            <dd>
              <b>{{ figures(growth.feeds[feed.key]!.nitrogen_g_kg_growth, 3) }}</b>
              <span class="soft small">g N</span
              ><template v-if="growth.feeds[feed.key]!.cost_kg_growth !== null"
                >, <b>{{ figures(growth.feeds[feed.key]!.cost_kg_growth ?? 0, 3) }}</b>
                <span class="soft small">in money</span></template
              >
            </dd>
          </div>
        </dl>
        <p v-else class="soft small">Give its protein.</p>
      </section>
    </div>
    <p v-if="both" class="soft small">
      Both at {{ quantity(growth.feed_g_d, 'g', 3) }} a day. Feed for a kg of growth is 1.5 kg where you did
      not measure it (assumed).
    </p>
  </section>
</template>

<style scoped>
h3 {
  margin: 1rem 0 0.25rem;
  font-size: 1rem;
}

h4 {
  margin: 0.25rem 0;
  font-size: 0.95rem;
}

.feeds {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(20rem, 1fr));
  gap: 0.5rem 2.5rem;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
  gap: 0.6rem 1.25rem;
  margin: 0.5rem 0;
}
</style>
