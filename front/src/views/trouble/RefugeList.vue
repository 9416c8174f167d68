<script setup lang="ts">
import { ref } from 'vue'
import { useRefuges } from '@/api/queries'
import type { System } from '@/api/types'

const props = defineProps<{ system: System }>()
const asked = ref(false)
const query = useRefuges(
  () => props.system.slug,
  () => asked.value,
)
</script>

<!-- Where fish could go out of it: one's own systems with room, matched water and nothing in it. -->
<template>
  <section class="part" aria-label="Fish out of it">
    <h2>Fish out of it</h2>
    <button v-if="!asked" type="button" class="link-button" @click="asked = true">
      Which of my systems could take them now?
    </button>
    <p v-else-if="query.isError.value" class="fault" role="alert">{{ query.error.value?.message }}</p>
    <p v-else-if="!query.data.value" class="soft">Comparing the waters …</p>
    <p v-else-if="query.data.value.none">{{ query.data.value.none.text }}</p>
    <ul v-else class="rows">
      <li v-for="one in query.data.value.rows" :key="one.slug">
        <span>{{ one.text }}</span>
        <RouterLink class="small" :to="{ name: 'fish', params: { system: system.slug } }"
          >Move them</RouterLink
        >
      </li>
    </ul>
  </section>
</template>
