<script setup lang="ts">
import { computed } from 'vue'
import { useRound, useRounds, useSession } from '@/api/queries'
import RoundBar from './RoundBar.vue'
import RoundRow from './RoundRow.vue'
import RoundsBefore from './RoundsBefore.vue'
import WalkOrder from './WalkOrder.vue'

const round = useRound()
const rounds = useRounds()
const mine = computed(() => rounds.data.value?.mine ?? null)
const skipped = (slug: string) => mine.value?.skipped.find((one) => one.slug === slug)?.why
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const rows = computed(() => round.data.value?.rows ?? [])
/** What cannot wait until one comes to it in walking order. */
const urgent = computed(() => rows.value.filter((row) => row.state === 'act' || row.state === 'emergency'))
const due = computed(() =>
  rows.value.filter(
    (row) =>
      row.due.length ||
      row.doses.length ||
      row.water.length ||
      row.service.length ||
      row.look ||
      row.fish.length,
  ),
)
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Round</h1>
      <p v-if="rows.length" class="soft">
        <template v-if="!mine"
          >{{ round.data.value?.walked }} of {{ rows.length }} looked at lately; </template
        >worst first, then in walking order
      </p>
    </div>
    <p v-if="rows.length" class="first">
      <template v-if="urgent.length"
        ><b>{{ urgent.map((row) => row.name).join(', ') }}</b> first: act now.</template
      ><template v-else>No system needs action now.</template>
      {{ due.length ? `Something is due at ${due.length} of ${rows.length}.` : 'Nothing is due.' }}
    </p>
    <RoundBar
      v-if="writes && rounds.data.value && rows.length"
      :rounds="rounds.data.value"
      :systems="rows.length"
    />
    <p v-if="round.isError.value" class="fault" role="alert">{{ round.error.value?.message }}</p>
    <p v-else-if="round.isPending.value" class="soft">Loading what is due …</p>
    <p v-else-if="!rows.length">
      The book is empty. <RouterLink to="/begin">Set up your first system</RouterLink>: source water, a
      system, its fish and a first test. It takes about three minutes.
    </p>
    <ul>
      <RoundRow
        v-for="row in rows"
        :key="row.slug"
        :row="row"
        :writes="writes"
        :round="mine?.id"
        :walked="mine ? mine.looked.includes(row.slug) : row.looked !== null"
        :skipped="skipped(row.slug)"
        :since="round.data.value?.since ?? null"
      />
    </ul>
    <RoundsBefore v-if="rounds.data.value" :before="rounds.data.value.before" />
    <WalkOrder v-if="writes && rows.length > 1" />
  </div>
</template>

<style scoped>
.first {
  margin-bottom: 0.6rem;
  font-size: 1.35rem;
}
</style>
