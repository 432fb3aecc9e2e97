import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { defineConfig } from '@playwright/test'

const PORT = 4793
const data = process.env['UNIMORPH_E2E_DATA'] ?? mkdtempSync(join(tmpdir(), 'unimorph-e2e-'))
// Workers load this file again; they must see the folder of the first load.
process.env['UNIMORPH_E2E_DATA'] = data

export default defineConfig({
  testDir: './flows',
  testMatch: '*.e2e.ts',
  workers: 1,
  // A machine that stands still for half a minute is no fault of the app.
  timeout: 180_000,
  expect: { timeout: 40_000 },
  reporter: process.env['PLAYWRIGHT_JSON_OUTPUT_FILE'] ? [['list'], ['json']] : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 40_000,
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
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
  webServer: {
    command: `node ../server/dist/main.js --port ${PORT} --data ${data}`,
    url: `http://127.0.0.1:${PORT}/api/projects`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
})
