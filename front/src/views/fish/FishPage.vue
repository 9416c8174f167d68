<script setup lang="ts">
import { computed } from 'vue'
import { useFish, useSession } from '@/api/queries'
import type { FishPage, System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import StateMark from '@/parts/StateMark.vue'
import { figures } from '@/units/number'
import FeedLog from './FeedLog.vue'
import FeedPlan from './FeedPlan.vue'
import FishGroups from './FishGroups.vue'
import GrowthBlock from './GrowthBlock.vue'
import MoveAll from './MoveAll.vue'
import QuarantineBlock from './QuarantineBlock.vue'
import SinglesBlock from './SinglesBlock.vue'
import { quantity } from '@/units/chosen'

type FishEvent = FishPage['events'][number]
const props = defineProps<{ system: System }>()
const fish = useFish(() => props.system.slug)
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const number = (value: number) => figures(value, 2)
const says = (event: FishEvent) =>
  ({
    moved: event.came ? `moved here from ${event.from}` : `moved to ${event.to}`,
    lost: 'died',
    sold: 'sold',
  })[event.kind]
</script>

<template>
  <p v-if="fish.isError.value" class="fault" role="alert">{{ fish.error.value?.message }}</p>
  <p v-else-if="!fish.data.value" class="soft">Loading the fish …</p>
  <template v-else>
    <dl class="numbers">
      <div>
        <dt>{{ system.fish_count }} fish</dt>
        <dd><FigureButton :figure="fish.data.value.biomass" big /></dd>
      </div>
      <div v-if="fish.data.value.density_kg_m3 !== null">
        <dt>Stocking</dt>
        <dd>
          <b>{{ number(fish.data.value.density_kg_m3) }}</b>
          <span class="soft small"
            >kg/m³, of {{ number(fish.data.value.density_limit_kg_m3) }} by the school followed here</span
          >
          <StateMark
            v-if="fish.data.value.density_state && fish.data.value.density_state !== 'good'"
            :state="fish.data.value.density_state"
          />
        </dd>
      </div>
      <div v-if="fish.data.value.by_flow">
        <dt>By the flow</dt>
        <dd>
          <FigureButton :figure="fish.data.value.by_flow" />
          <span v-if="fish.data.value.by_flow.value > fish.data.value.flow_alone" class="soft small"
            >over {{ number(fish.data.value.flow_alone) }}: the flow alone brings too little oxygen, air does
            the rest</span
          >
        </dd>
      </div>
      <div v-for="bay in fish.data.value.bays" :key="bay.name">
        <dt>{{ bay.name }}</dt>
        <dd>
          <b>{{ number(bay.kg_m3) }}</b>
          <span class="soft small">kg/m³, {{ quantity(bay.kg, 'kg', 2) }}</span>
          <StateMark v-if="bay.state !== 'good'" :state="bay.state" />
        </dd>
      </div>
    </dl>
    <QuarantineBlock
      v-if="system.kind === 'quarantine' || system.kind === 'hospital'"
      :system="system"
      :writes="writes"
    />
    <FishGroups :system="system" :fish="fish.data.value" :writes="writes" />
    <MoveAll v-if="writes && system.fish_count" :system="system" />
    <SinglesBlock :system="system" :fish="fish.data.value" :writes="writes" />
    <GrowthBlock :key="system.slug" :system="system" />
    <FeedPlan
      :key="`${system.slug} ${fish.data.value.plan?.since}`"
      :system="system"
      :fish="fish.data.value"
      :writes="writes"
    />
    <FeedLog :system="system" :fish="fish.data.value" :writes="writes" />
    <section v-if="fish.data.value.events.length" class="part" aria-label="Arrivals, moves and losses">
      <h2>Arrivals, moves and losses</h2>
      <p class="soft small">
        <RouterLink :to="{ name: 'losses' }">Survival and losses</RouterLink> of all systems
      </p>
      <ul class="rows">
        <li v-for="event in fish.data.value.events" :key="event.id">
          <span class="soft day">{{ event.on }}</span>
          <span
            ><b>{{ event.count }} {{ event.group }}</b> {{ says(event)
            }}<template v-if="event.reason">: {{ event.reason }}</template
            ><span v-if="event.by" class="soft">, {{ event.by }}</span></span
          >
        </li>
      </ul>
    </section>
  </template>
</template>

<style scoped>
.day {
  min-width: 6.5rem;
}
</style>
