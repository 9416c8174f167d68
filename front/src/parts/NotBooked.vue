<script setup lang="ts">
import { watch } from 'vue'
import { useRoute } from 'vue-router'
import { unbooked } from '@/api/unbooked'

const route = useRoute()
watch(
  () => route.path,
  () => (unbooked.value = null),
)
</script>

<!-- Why the last press booked nothing. -->
<template>
  <p v-if="unbooked" class="unbooked fault no-print" role="alert">
    Not booked: {{ unbooked }}
    <button type="button" class="link-button" @click="unbooked = null">Seen</button>
  </p>
</template>

<style scoped>
.unbooked {
  position: sticky;
  top: 0;
  z-index: 3;
  padding: 0.5rem 1.25rem;
  border-bottom: 2px solid var(--rust);
  background: var(--sheet);
}
</style>
