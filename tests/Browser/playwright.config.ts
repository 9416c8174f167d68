import { defineConfig } from '@playwright/test'

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
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
