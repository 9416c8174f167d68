import { defineConfig, mergeConfig } from 'vitest/config'
import vite from './vite.config.ts'

/** The front by itself: its parts in a page of their own, without a server. */
export default mergeConfig(
  vite,
  defineConfig({
    test: { environment: 'happy-dom', include: ['front/src/**/*.spec.ts'], testTimeout: 10_000 },
  }),
)
