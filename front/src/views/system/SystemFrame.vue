<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useSystem } from '@/api/queries'
import HowItWorks from '@/parts/HowItWorks.vue'
import StateMark from '@/parts/StateMark.vue'
import { GROUPS, groupOf, pageOf } from '@/ways/pages'

const route = useRoute()
const slug = computed(() => String(route.params.system))
const system = useSystem(slug)
const group = computed(() => groupOf(route.name))
const here = computed(() => pageOf(route.name))
/** A build that is only planned has a place, and nothing else. */
const PLANNED = ['plumbing', 'build']
const planned = computed(() => Boolean(system.data.value?.plan_of))
const shown = computed(() =>
  GROUPS.filter((one) => !planned.value || one.pages.some((page) => PLANNED.includes(page.name))),
)
/** Where one was last in each group: a press on its name leads back there. */
const last = ref<Record<string, string>>({})
watch(
  () => route.name,
  (name) => {
    if (group.value) last.value = { ...last.value, [group.value.label]: pageOf(name) }
  },
  { immediate: true },
)
</script>

<!-- What every page of one system shares: its name, how it stands, and the way to its other pages. -->
<template>
  <div class="page">
    <template v-if="system.data.value">
      <div class="page-head no-print">
        <h1>{{ system.data.value.name }}</h1>
        <span v-if="system.data.value.plan_of" class="soft"
          >planned beside
          <RouterLink :to="{ name: 'build', params: { system: system.data.value.plan_of.slug } }">{{
            system.data.value.plan_of.name
          }}</RouterLink>; nothing is booked here</span
        >
        <StateMark
          v-else
          :state="system.data.value.asleep ? null : system.data.value.water.state"
          :asleep="system.data.value.asleep !== null"
        />
        <nav class="ways" aria-label="Pages of this system">
          <ul class="tabs groups">
            <li v-for="one in shown" :key="one.label">
              <RouterLink
                :to="{ name: last[one.label] ?? one.pages[0].name, params: { system: slug } }"
                :class="{ here: one === group }"
                >{{ one.label }}</RouterLink
              >
            </li>
          </ul>
          <ul v-if="group && group.pages.length > 1" class="tabs pages">
            <li
              v-for="one in group.pages.filter((page) => !planned || PLANNED.includes(page.name))"
              :key="one.name"
            >
              <RouterLink
                :to="{ name: one.name, params: { system: slug } }"
                :class="{ here: here === one.name }"
                :aria-current="route.name === one.name ? 'page' : undefined"
                >{{ one.label }}</RouterLink
              >
            </li>
          </ul>
        </nav>
      </div>
      <RouterView :key="slug" :system="system.data.value" />
      <HowItWorks :key="String(route.name)" :page="String(route.name)" :slug="slug" />
    </template>
    <p v-else-if="system.isError.value" class="fault" role="alert">
      {{ system.error.value?.message }} <RouterLink to="/">To the round</RouterLink>
    </p>
    <p v-else class="soft">Opening …</p>
  </div>
</template>

<style scoped>
.ways {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
}

.groups {
  gap: 1.4rem;
}

.pages {
  gap: 1.4rem;
  padding-left: 1.4rem;
  margin-left: 1.4rem;
  border-left: 1px solid var(--hair);
}

.groups a {
  font-weight: 700;
}

.pages a.here {
  font-weight: 400;
}

@media (max-width: 720px) {
  .ways {
    display: block;
  }

  .groups,
  .pages {
    justify-content: space-between;
    gap: 0;
  }

  .pages {
    padding-left: 0;
    margin-left: 0;
    border-left: 0;
    border-top: 1px solid var(--hair);
  }

  .tabs a {
    display: flex;
    align-items: center;
    min-height: 44px;
    padding: 0 0.2rem;
  }
}
</style>
