<script setup lang="ts">
import { computed } from 'vue'
import { useSession, useVocabulary } from '@/api/queries'
import type { System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import AirEditor from './AirEditor.vue'
import JunctionEditor from './JunctionEditor.vue'
import LineEditor from './LineEditor.vue'
import PlannedBuilds from './PlannedBuilds.vue'
import PumpEditor from './PumpEditor.vue'
import RetiredParts from './RetiredParts.vue'
import SleepSwitch from './SleepSwitch.vue'
import StageEditor from './StageEditor.vue'
import UndoLast from './UndoLast.vue'
import VesselEditor from './VesselEditor.vue'
import VolumeWays from './VolumeWays.vue'

defineProps<{ system: System }>()
const vocabulary = useVocabulary()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
</script>

<template>
  <p class="totals">
    Water <FigureButton :figure="system.volume" /> · {{ system.fish_count }} fish
    <FigureButton :figure="system.biomass" />
  </p>
  <UndoLast v-if="writes" :system="system" />
  <template v-if="vocabulary.data.value">
    <VesselEditor :system="system" :words="vocabulary.data.value" :writes="writes" />
    <VolumeWays v-if="!system.plan_of" :system="system" :writes="writes" />
    <StageEditor :system="system" :words="vocabulary.data.value" :writes="writes" />
    <PumpEditor :system="system" :words="vocabulary.data.value" :writes="writes" />
    <AirEditor :system="system" :writes="writes" />
    <JunctionEditor :system="system" :writes="writes" />
    <LineEditor :system="system" :words="vocabulary.data.value" :writes="writes" />
    <PlannedBuilds :system="system" :writes="writes" />
    <RetiredParts :system="system" :writes="writes" />
    <SleepSwitch v-if="!system.plan_of" :system="system" :writes="writes" />
  </template>
  <p v-else-if="vocabulary.isError.value" class="fault" role="alert">{{ vocabulary.error.value?.message }}</p>
</template>

<style scoped>
.totals {
  margin-bottom: 1.5rem;
  font-size: 1.1rem;
}
</style>
