import { existsSync } from 'node:fs'
import { defineConfig } from '@playwright/test'

/** The one without a window is a quarter faster; the other does as well. */
const SHELL = '/usr/bin/chromium-headless-shell'
const CHROMIUM = existsSync(SHELL) ? SHELL : '/usr/bin/chromium'

export default defineConfig({
  testDir: '.',
  outputDir: '../../var/browser-results',
  fullyParallel: false,
  workers: 1,
  retries: 0,
  // A busy machine is slow, and slow is not wrong: how long things take is measured elsewhere.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env.BASE_URL ?? 'http://127.0.0.1:8080',
    // Pages come from the server, but where it is the service worker itself that is tried.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // Recording each step costs a third of the time: TRACE=1 asks for it where a failure is to be looked into.
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: CHROMIUM,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
