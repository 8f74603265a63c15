import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/setup/debian.mjs'

/** Journeys in Debian's Chromium; `npm test` starts the server and names it in BASE_URL. */
export default defineConfig({
  testDir: './e2e/journeys',
  outputDir: './test-results/journeys',
  fullyParallel: true,
  workers: 2,
  // Shared machines are slow at times: patience costs nothing where a page is quick.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  retries: process.env.CI ? 2 : 0,
  forbidOnly: Boolean(process.env.CI),
  reporter: [
    ['list'],
    [
      'json',
      { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? './test-results/playwright.json' },
    ],
  ],
  use: {
    ...(process.env.BASE_URL && { baseURL: process.env.BASE_URL }),
    viewport: { width: 1280, height: 800 },
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
