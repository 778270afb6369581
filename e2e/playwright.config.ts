import { defineConfig } from '@playwright/test'

const CHROMIUM_FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  globalSetup: './seeded.ts',
  // Files side by side, each worker with an application of its own; the tests of a file take turns.
  workers: 2,
  // Where the machine is shared with others, a test that passes only the second time is listed as flaky and lets the rest be told.
  retries: process.env['CI'] ? 1 : 0,
  // For a machine half as fast that has other work, too; what is there sooner is not waited for.
  timeout: 120_000,
  expect: { timeout: 25_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    permissions: ['clipboard-read', 'clipboard-write'],
    launchOptions: { executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS },
    trace: 'off',
    screenshot: 'only-on-failure',
  },
})
