<script setup lang="ts">
import type { Figure } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'

defineProps<{ figure: Figure | null; text: string }>()
</script>

<!-- A number of the solved loop, to be opened where it has a proof. -->
<template>
  <FigureButton v-if="figure" :figure="figure" bare :strong="false" />
  <template v-else>{{ text }}</template>
</template>
