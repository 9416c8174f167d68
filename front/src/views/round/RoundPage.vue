<script setup lang="ts">
import { computed } from 'vue'
import { useRound, useSession } from '@/api/queries'
import RoundRow from './RoundRow.vue'

const round = useRound()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const rows = computed(() => round.data.value?.rows ?? [])
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Round</h1>
      <p v-if="rows.length" class="soft">
        {{ round.data.value?.walked }} of {{ rows.length }} looked at; worst first, then in walking order
      </p>
    </div>
    <p v-if="round.isError.value" class="fault" role="alert">{{ round.error.value?.message }}</p>
    <p v-else-if="round.isPending.value" class="soft">Loading what is due …</p>
    <p v-else-if="!rows.length">
      The book is empty. <RouterLink to="/begin">Set up your first system</RouterLink>: source water, a
      system, its fish and a first test. It takes about three minutes.
    </p>
    <ul>
      <RoundRow v-for="row in rows" :key="row.slug" :row="row" :writes="writes" />
    </ul>
  </div>
</template>
