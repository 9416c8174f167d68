<script setup lang="ts" generic="T extends { id: string; name: string }">
defineProps<{ title: string; add: string; empty: string; parts: T[]; open: string | null; writes: boolean }>()
const emit = defineEmits<{ edit: [part: T]; fresh: [] }>()
defineSlots<{ line(props: { part: T }): unknown; figure(props: { part: T }): unknown; form(): unknown }>()
</script>

<template>
  <section class="part parts" :aria-label="title">
    <h2>{{ title }}</h2>
    <p v-if="!parts.length && open === null" class="soft">{{ empty }}</p>
    <ul>
      <li v-for="part in parts" :key="part.id">
        <div class="line">
          <b>{{ part.name }}</b>
          <span class="soft"><slot name="line" :part="part" /></span>
          <span class="figure"><slot name="figure" :part="part" /></span>
          <button
            v-if="writes"
            type="button"
            class="link-button small"
            :aria-label="`Change ${part.name}`"
            @click="emit('edit', part)"
          >
            Change
          </button>
        </div>
        <slot v-if="open === part.id" name="form" />
      </li>
    </ul>
    <slot v-if="open !== null && !parts.some((part) => part.id === open)" name="form" />
    <button v-else-if="writes" type="button" class="link-button" @click="emit('fresh')">{{ add }}</button>
  </section>
</template>

<style scoped>
.parts {
  margin-bottom: 2.25rem;
}

.line {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr) auto 4.5rem;
  gap: 0 1rem;
  align-items: baseline;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hair);
}

.line .link-button {
  justify-self: end;
  padding: 0;
}

@media (max-width: 720px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .line .soft {
    grid-row: 2;
  }

  .line .link-button {
    grid-row: 2;
  }
}
</style>
