<script setup lang="ts">
import { computed } from 'vue'
import { useLooks, useSession } from '@/api/queries'
import type { System } from '@/api/types'
import LookForm from './LookForm.vue'
import LookRow from './LookRow.vue'

const props = defineProps<{ system: System }>()
const query = useLooks(() => props.system.slug)
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const looks = computed(() => query.data.value)
</script>

<!-- Fish looked at one by one: whether they are due, what is seen now, and what was seen before. -->
<template>
  <p v-if="query.isError.value && !looks" class="fault" role="alert">{{ query.error.value?.message }}</p>
  <p v-else-if="!looks" class="soft">Reading the book …</p>
  <template v-else>
    <p v-if="looks.due" class="lead">{{ looks.due.text }}</p>
    <p v-else-if="looks.looks.length" class="lead">
      Nothing asks for a look today. They were last looked at {{ looks.looks[0]?.age }}.
    </p>
    <p v-else-if="!looks.groups.length" class="lead">No fish live here yet. Receive them on Arrivals.</p>
    <p v-else class="lead">Nobody looked at these fish one by one yet.</p>
    <LookForm v-if="writes && looks.groups.length" :key="system.slug" :system="system" :looks="looks" />
    <section v-if="looks.looks.length" class="part" aria-label="Looks before">
      <h2>Looks before</h2>
      <ul class="rows">
        <LookRow v-for="look in looks.looks" :key="look.id" :system="system" :look="look" />
      </ul>
    </section>
  </template>
</template>
