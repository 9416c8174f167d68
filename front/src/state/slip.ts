import { shallowRef } from 'vue'
import type { Figure } from '@/api/types'

/** The figure whose working lies open, if any. */
export const openFigure = shallowRef<Figure | null>(null)

/** Where the keyboard was before the slip opened, to go back to. */
let from: HTMLElement | null = null

export function openSlip(figure: Figure): void {
  from ??= document.activeElement instanceof HTMLElement ? document.activeElement : null
  openFigure.value = figure
}

export function closeSlip(): void {
  openFigure.value = null
  from?.focus()
  from = null
}
