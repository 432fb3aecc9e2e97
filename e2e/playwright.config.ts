import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: './flows',
  testMatch: '*.e2e.ts',
  // Each worker has a server, port and database of its own.
  workers: 2,
  fullyParallel: true,
  // A machine that stands still for half a minute is no fault of the app; what passed only when tried again is told.
  retries: process.env['CI'] ? 1 : 0,
  timeout: 300_000,
  expect: { timeout: 40_000 },
  reporter: process.env['PLAYWRIGHT_JSON_OUTPUT_FILE'] ? [['list'], ['json']] : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 40_000,
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium-headless-shell',
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
