import { usePreferredDark, useStorage } from '@vueuse/core'
import { computed, watchEffect } from 'vue'
import { palettes, type Theme } from '@/theme/tokens'

const chosen = useStorage<Theme | 'auto'>('ironwort-theme', 'auto')
const dark = usePreferredDark()

/** Day or night: what was chosen on this device, else what the device prefers. */
export const theme = computed<Theme>(() =>
  chosen.value === 'auto' ? (dark.value ? 'night' : 'day') : chosen.value,
)

export function switchTheme(): void {
  chosen.value = theme.value === 'day' ? 'night' : 'day'
}

/** Palette names as custom properties: `strawInk` becomes `--straw-ink`. */
export function applyTheme(): void {
  watchEffect(() => {
    const root = document.documentElement
    root.style.colorScheme = theme.value === 'night' ? 'dark' : 'light'
    for (const [name, value] of Object.entries(palettes[theme.value])) {
      root.style.setProperty('--' + name.replace(/[A-Z]/g, (letter) => '-' + letter.toLowerCase()), value)
    }
  })
}
