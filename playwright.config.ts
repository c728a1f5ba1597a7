import { defineConfig } from '@playwright/test'
import { headlessChromium } from './scripts/debian'

/** The real interface against a real server; ./test starts both and says where. */
export default defineConfig({
  testDir: 'tests/e2e',
  // Two tests side by side: most of the time is spent waiting. Each test has riders and trips of its own.
  workers: 2,
  fullyParallel: true,
  // Generous: a slow machine is no fault of the interface.
  timeout: 480_000,
  expect: { timeout: 120_000 },
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/report.json' }]],
  use: {
    baseURL: process.env.RAG_TIN_ADDRESS,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    // What a service worker fetches cannot be held up by a test; the test of opening without a network allows it.
    serviceWorkers: 'block',
    // A trace costs a sixth of the time: whoever hunts a failure asks for it with --trace=retain-on-failure.
    trace: 'off',
    launchOptions: {
      executablePath: headlessChromium.place,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // Each test is a browser that has never seen the solver. Its quick compiler does; the slow one that follows
        // would take a quarter of all the time.
        '--js-flags=--liftoff-only',
      ],
    },
  },
})
