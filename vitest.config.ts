import { fileURLToPath } from 'node:url'
import { defineConfig, mergeConfig } from 'vitest/config'
import vite from './vite.config.ts'

/**
 * The front by itself: its parts in a page of their own, with a server of front/testing.
 *
 * Files share what is read into a worker, which makes them six times as fast; those that put another module in the
 * place of one, `*.mocked.spec.ts`, have a worker each.
 */
const mocked = 'front/src/**/*.mocked.spec.ts'
const project = (name: string, pool: 'vmThreads' | 'threads', include: string, exclude: string[] = []) => ({
  extends: true as const,
  test: { name, pool, include: [include], exclude },
})

export default mergeConfig(
  vite,
  defineConfig({
    resolve: { alias: { '@testing': fileURLToPath(new URL('./front/testing', import.meta.url)) } },
    test: {
      environment: 'happy-dom',
      setupFiles: ['front/testing/setup.ts'],
      testTimeout: 10_000,
      projects: [
        project('front', 'vmThreads', 'front/{src,testing}/**/*.spec.ts', [mocked]),
        project('mocked', 'threads', mocked),
      ],
    },
  }),
)
