import { ref } from 'vue'

/** Why the last press booked nothing, where its button has no place of its own to say so. */
export const unbooked = ref<string | null>(null)
