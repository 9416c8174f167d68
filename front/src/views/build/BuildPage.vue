<script setup lang="ts">
import { computed } from 'vue'
import { useSession, useVocabulary } from '@/api/queries'
import type { System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import JunctionEditor from './JunctionEditor.vue'
import LineEditor from './LineEditor.vue'
import PumpEditor from './PumpEditor.vue'
import RetiredParts from './RetiredParts.vue'
import SleepSwitch from './SleepSwitch.vue'
import StageEditor from './StageEditor.vue'
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
  <template v-if="vocabulary.data.value">
    <VesselEditor :system="system" :words="vocabulary.data.value" :writes="writes" />
    <VolumeWays :system="system" :writes="writes" />
    <StageEditor :system="system" :words="vocabulary.data.value" :writes="writes" />
    <PumpEditor :system="system" :words="vocabulary.data.value" :writes="writes" />
    <JunctionEditor :system="system" :writes="writes" />
    <LineEditor :system="system" :words="vocabulary.data.value" :writes="writes" />
    <RetiredParts :system="system" :writes="writes" />
    <SleepSwitch :system="system" :writes="writes" />
  </template>
  <p v-else-if="vocabulary.isError.value" class="fault" role="alert">{{ vocabulary.error.value?.message }}</p>
</template>

<style scoped>
.totals {
  margin-bottom: 1.5rem;
  font-size: 1.1rem;
}
</style>
