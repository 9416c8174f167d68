<script setup lang="ts">
import type { System } from '@/api/types'
import BenchForm from '@/parts/BenchForm.vue'

defineProps<{ system: System }>()
</script>

<template>
  <BenchForm
    :system="system"
    bench="buffer"
    hint="KH and pH move together, and ammonia with them: what a dose does stands here before it is given."
  />
  <BenchForm
    :system="system"
    bench="hardness"
    hint="Dissolve it first; calcium chloride warms as it dissolves. Wear gloves and eye protection with dry powders."
  />
</template>
