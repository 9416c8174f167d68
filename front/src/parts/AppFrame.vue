<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSystems } from '@/api/queries'
import type { Session } from '@/api/types'
import { GROUPS, samePage } from '@/ways/pages'
import { closeSlip, openFigure } from '@/state/slip'
import AppFoot from './AppFoot.vue'
import KeyList from './KeyList.vue'
import LogBar from './LogBar.vue'
import NotBooked from './NotBooked.vue'
import SignalBar from './SignalBar.vue'
import SystemList from './SystemList.vue'
import SystemSwitch from './SystemSwitch.vue'
import WorkingSlip from './WorkingSlip.vue'

defineProps<{ person: NonNullable<Session['person']> }>()

const route = useRoute()
const router = useRouter()
const narrow = useMediaQuery('(max-width: 720px)')
const logBar = useTemplateRef<InstanceType<typeof LogBar>>('logBar')
const finder = useTemplateRef<HTMLInputElement>('finder')
const find = ref('')
const keysShown = ref(false)
const going = ref(false)

const system = computed(() => (typeof route.params.system === 'string' ? route.params.system : null))
const { data: systems } = useSystems()

/** After `g`: a letter for a page, a figure for the system in that place of the list, on the page that is open. */
function go(letter: string): void {
  const page = GROUPS.flatMap((group) => group.pages).find((one) => one.key === letter)
  const other = systems.value?.[Number(letter) - 1]
  if (letter === 'r') void router.push('/')
  else if (letter === 'x') void router.push('/shelf')
  else if (letter === 'e') void router.push('/calendar')
  else if (letter === 'z') void router.push('/sheets')
  else if (page && system.value) void router.push({ name: page.name, params: { system: system.value } })
  else if (other) void router.push(samePage(route.name, other.slug))
}

useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  const writing =
    event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [contenteditable]')
  if (event.key === 'Escape') {
    if (writing instanceof HTMLElement) writing.blur()
    else if (openFigure.value) closeSlip()
    return
  }
  if (writing || event.ctrlKey || event.metaKey || event.altKey) return
  if (going.value) {
    going.value = false
    go(event.key)
  } else if (event.key === 'g') going.value = true
  else if (event.key === '.') logBar.value?.focus()
  else if (event.key === '/') finder.value?.focus()
  else if (event.key === '?') keysShown.value = true
  else return
  event.preventDefault()
})
</script>

<template>
  <div class="frame" :class="{ slipped: openFigure }">
    <header class="list no-print">
      <RouterLink to="/" class="mark">Ironwort</RouterLink>
      <RouterLink v-if="!narrow" to="/" class="round" :class="{ here: route.name === 'round' }"
        >Round</RouterLink
      >
      <input
        v-if="!narrow"
        ref="finder"
        v-model="find"
        class="find"
        type="search"
        placeholder="Find a system"
        aria-label="Find a system"
      />
      <div v-if="!narrow" class="systems">
        <SystemList :filter="find" />
        <RouterLink v-if="person.writes" to="/new" class="add small">Add a system</RouterLink>
      </div>
      <SystemSwitch v-else />
    </header>
    <LogBar ref="logBar" class="top no-print" :writes="person.writes" />
    <main class="middle"><SignalBar /><NotBooked /><RouterView /></main>
    <WorkingSlip v-if="openFigure" class="side" :figure="openFigure" />
    <AppFoot class="bottom" :person="person" @keys="keysShown = true" />
    <KeyList v-if="keysShown" @close="keysShown = false" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template:
    'list top top' auto 'list middle side' minmax(0, 1fr)
    'bottom bottom bottom' auto / 17.5rem minmax(0, 1fr) auto;
  height: 100vh;
  height: 100dvh;
}

.list {
  grid-area: list;
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-right: 1px solid var(--hair);
}

.mark {
  padding: 0.85rem 1.25rem 0.7rem;
  font-size: 1.35rem;
  font-weight: 700;
  letter-spacing: -0.01em;
  color: var(--leaf);
  text-decoration: none;
}

.round {
  padding: 0.45rem 1.25rem 0.45rem calc(1.25rem - 4px);
  margin-bottom: 0.6rem;
  font-weight: 700;
  color: var(--ink);
  text-decoration: none;
  border-left: 4px solid transparent;
}

.round.here {
  background: var(--sheet);
  border-left-color: var(--straw);
}

.find {
  font: inherit;
  font-size: 0.9375rem;
  margin: 0 1.25rem 0.6rem;
  padding: 0.3rem 0;
  color: var(--ink);
  background: transparent;
  border: 0;
  border-bottom: 1px solid var(--soft);
}

.find::placeholder {
  color: var(--soft);
  opacity: 1;
}

.systems {
  overflow-y: auto;
  border-top: 1px solid var(--hair);
}

.add {
  display: block;
  padding: 0.75rem 1.25rem;
}

.top {
  grid-area: top;
}

.middle {
  grid-area: middle;
  overflow-y: auto;
}

.side {
  grid-area: side;
  width: 23rem;
}

.bottom {
  grid-area: bottom;
}

@media (max-width: 1100px) {
  .frame {
    grid-template-columns: 14rem minmax(0, 1fr) auto;
  }
}

@media (max-width: 720px) {
  .frame {
    grid-template: 'list' auto 'top' auto 'middle' minmax(0, 1fr) 'bottom' auto / minmax(0, 1fr);
  }

  .list {
    flex-direction: row;
    align-items: baseline;
    justify-content: space-between;
    border-right: 0;
    border-bottom: 1px solid var(--hair);
  }

  .mark {
    padding: 0.55rem 1rem;
  }

  .side {
    grid-area: 1 / 1 / 4 / 2;
    width: auto;
    z-index: 5;
    border-left: 0;
  }
}

/* On paper a page is as long as it is. */
@media print {
  .frame {
    display: block;
    height: auto;
  }

  .middle {
    overflow: visible;
  }
}
</style>
