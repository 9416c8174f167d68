<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'
import { GROUPS } from '@/ways/pages'

const emit = defineEmits<{ close: [] }>()
const dialog = useTemplateRef<HTMLDialogElement>('dialog')
onMounted(() => dialog.value?.showModal())

const keys = [
  ['.', 'Log bar'],
  ['/', 'Find a system'],
  ['g r', 'Round'],
  ...GROUPS.flatMap((group) => group.pages.map((page) => [`g ${page.key}`, page.label])),
  ['g x', 'Shelf'],
  ['g e', 'Calendar'],
  ['g z', 'Reference sheets'],
  ['g 1 … 9', 'The system in that place of the list, same page'],
  ['?', 'This list'],
  ['Esc', 'Close, go back'],
]
</script>

<template>
  <dialog ref="dialog" aria-label="Keys" @close="emit('close')" @click.self="dialog?.close()">
    <dl>
      <template v-for="[key, does] in keys" :key="key"
        ><dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ does }}</dd></template
      >
    </dl>
    <button type="button" class="link-button" @click="dialog?.close()">Close</button>
  </dialog>
</template>

<style scoped>
dialog {
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 2px;
  padding: 1.25rem 1.75rem;
}

dialog::backdrop {
  background: #0b1214aa;
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.4rem 1.5rem;
  margin-bottom: 0.75rem;
}

kbd {
  font: inherit;
  font-weight: 700;
}
</style>
