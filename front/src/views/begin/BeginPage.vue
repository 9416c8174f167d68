<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSession, useShelf, useSystem, useSystems } from '@/api/queries'
import BeginFish from './BeginFish.vue'
import BeginSystem from './BeginSystem.vue'
import BeginTest from './BeginTest.vue'
import BeginUnits from './BeginUnits.vue'
import BeginVerdict from './BeginVerdict.vue'
import BeginWater from './BeginWater.vue'

const STEPS = ['Units', 'Source water', 'System', 'Fish and feed', 'First test', 'Verdict'] as const

const route = useRoute()
const router = useRouter()
const session = useSession()
const shelf = useShelf()
const systems = useSystems()
/** The system that is begun with: named in the address, so that a reload goes on where one was. */
const slug = computed(() => String(route.query.system ?? systems.data.value?.[0]?.slug ?? ''))
const system = useSystem(slug)
const noFish = ref(false)

const step = computed(() => {
  if (!shelf.data.value || !systems.data.value) return -1
  if (!shelf.data.value.waters.length) return session.data.value?.person?.units.asked ? 1 : 0
  if (slug.value === '') return 2
  if (!system.data.value) return -1
  if (!system.data.value.fish_count && !noFish.value && !system.data.value.visits.length) return 3
  return system.data.value.visits.length ? 5 : 4
})
const opened = (to: string) => void router.replace({ query: { system: to } })
</script>

<!-- An empty book, led from its source water to the first verdict: one short step at a time. -->
<template>
  <div class="page">
    <div class="page-head"><h1>Set up your first system</h1></div>
    <ol class="steps" aria-label="Steps">
      <li v-for="(name, i) in STEPS" :key="name" :aria-current="i === step ? 'step' : undefined">
        {{ i + 1 }}. {{ name }}
      </li>
    </ol>
    <p v-if="step < 0" class="soft">Opening …</p>
    <BeginUnits v-else-if="step === 0" />
    <BeginWater v-else-if="step === 1" />
    <BeginSystem v-else-if="step === 2" :water="shelf.data.value?.waters[0]?.id ?? ''" @opened="opened" />
    <template v-else-if="system.data.value">
      <BeginFish v-if="step === 3" :system="system.data.value" @none="noFish = true" />
      <BeginTest v-else-if="step === 4" :system="system.data.value" />
      <BeginVerdict v-else :system="system.data.value" />
    </template>
  </div>
</template>

<style scoped>
.steps {
  display: flex;
  flex-wrap: wrap;
  margin-bottom: 1.5rem;
  border-top: 1px solid var(--soft);
}

.steps li {
  flex: 1 1 7rem;
  padding: 0.4rem 0.5rem 0 0;
  color: var(--soft);
}

.steps li[aria-current] {
  margin-top: -3px;
  border-top: 5px solid var(--straw);
  color: var(--ink);
  font-weight: 700;
}

.page :deep(.lead) {
  max-width: 44rem;
  margin-bottom: 0.6rem;
  font-size: 1.15rem;
}
</style>
