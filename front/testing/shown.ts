import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import { queryClient } from '@/api/queries'
import { router as ways } from '@/router'
import { forgetsBy, opened } from './pages'

interface How {
  props?: Record<string, unknown>
  slots?: Record<string, string>
  /** Where one stands. */
  at?: string
  /** In the page, for what needs the focus or a dialog. */
  attached?: boolean
}

forgetsBy(() => queryClient.clear())

const there = { template: '<i />' }

/** A part of the front in a page of its own, with the addresses of the product and what the server told so far. */
export async function shown(part: Component, how: How = {}): Promise<VueWrapper & { router: Router }> {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ways
      .getRoutes()
      .filter((one) => one.name !== undefined)
      .map((one) => ({ path: one.path, name: one.name!, component: there })),
  })
  await router.push(how.at ?? '/')
  const page = mount(
    part as never,
    {
      props: how.props ?? {},
      slots: how.slots ?? {},
      global: { plugins: [router, [VueQueryPlugin, { queryClient }]] },
      ...(how.attached ? { attachTo: document.body } : {}),
    } as never,
  ) as unknown as VueWrapper
  opened(page)
  await settled()
  return Object.assign(page, { router })
}

/** Until what was asked is answered and shown. */
export async function settled(): Promise<void> {
  for (let i = 0; i < 4; i++) await flushPromises()
}

/** What is known from the start, as if the server had just told it. */
export const known = (key: string, value: unknown): unknown => queryClient.setQueryData([key], value)

/** Somebody signed in who may write, and reads in the product's own units. */
export const signedIn = (writes = true, shownUnits: object = {}): unknown =>
  known('session', {
    person: {
      name: 'Maren',
      writes,
      site: { name: 'Withy Yard', timezone: 'Europe/London' },
      units: { shown: shownUnits, chosen: { volume: 'L' }, choices: [] },
    },
  })

export const system = (slug: string, more: object = {}): object => ({
  slug,
  name: slug.replace(/^./, (letter) => letter.toUpperCase()),
  state: 'good',
  asleep: false,
  worst: null,
  ...more,
})
