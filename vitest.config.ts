import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

/**
 * Tests that mock no module are read as Node.js reads them. Vite would look up what a module imports anew wherever it is
 * used, and all that is reckoned would take two to three times as long.
 */
const readByNode = { experimental: { viteModuleRunner: false, nodeLoader: false }, execArgv: ['--import', 'tsx'] }

/** What a server or a program shall come to say is waited for: a slow machine is no fault of theirs. */
const waitingFor = { expect: { poll: { timeout: 20_000 } } }

export default defineConfig({
  test: {
    // Of two cores Vitest would use one by itself; and tests of servers wait for much of their time.
    maxWorkers: 3,
    projects: [
      // The core keeps nothing between calls: what has been loaded serves the next file, too.
      {
        test: {
          ...readByNode,
          name: 'unit',
          include: ['tests/unit/**/*.test.ts'],
          testTimeout: 30_000,
          isolate: false,
        },
      },
      { test: { ...readByNode, name: 'cli', include: ['tests/cli/**/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'app',
          include: ['tests/app/**/*.test.ts'],
          setupFiles: ['tests/app/fresh-stores.ts'],
          testTimeout: 30_000,
        },
      },
      {
        plugins: [vue()],
        resolve: {
          alias: {
            '#imports': fileURLToPath(new URL('tests/components/nuxt-imports.ts', import.meta.url)),
            '#components': fileURLToPath(new URL('tests/components/nuxt-components.ts', import.meta.url)),
          },
        },
        test: {
          name: 'components',
          include: ['tests/components/**/*.test.ts'],
          environment: 'happy-dom',
          setupFiles: ['tests/app/fresh-stores.ts'],
          testTimeout: 30_000,
        },
      },
      {
        test: {
          ...readByNode,
          ...waitingFor,
          name: 'scripts',
          include: ['tests/scripts/**/*.test.ts'],
          testTimeout: 120_000,
        },
      },
      {
        // Seeded and long: the whole of it is `npm run judge`, and a tenth is tried here.
        test: {
          ...readByNode,
          name: 'judge',
          include: ['tests/judge/**/*.test.ts'],
          testTimeout: 1_800_000,
          hookTimeout: 120_000,
        },
      },
      {
        test: {
          ...readByNode,
          name: 'reference',
          include: ['tests/reference/**/*.test.ts'],
          testTimeout: 30_000,
          isolate: false,
        },
      },
      {
        test: {
          ...readByNode,
          ...waitingFor,
          name: 'server',
          include: ['tests/server/**/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
})
