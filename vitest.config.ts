import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const at = (folder: string) => fileURLToPath(new URL(folder, import.meta.url))

export default defineConfig({
  test: {
    // Of two cores Vitest would use one by itself.
    maxWorkers: 2,
    projects: [
      // The core keeps nothing between calls: what has been loaded serves the next file, too.
      { test: { name: 'unit', include: ['tests/unit/**/*.test.ts'], testTimeout: 30_000, isolate: false } },
      {
        // Nuxt's own aliases, and by the set-up file its automatic imports.
        resolve: { alias: { '~~': at('.'), '~': at('app') } },
        test: {
          name: 'app',
          include: ['tests/app/**/*.test.ts'],
          setupFiles: ['tests/app/automatic-imports.ts'],
          isolate: false,
        },
      },
      {
        test: {
          name: 'scripts',
          include: ['tests/scripts/**/*.test.ts'],
          testTimeout: 120_000,
        },
      },
      {
        // Seeded and long: the whole of it is `npm run judge`, and a tenth is tried here.
        resolve: { alias: { '~~': at('.'), '~': at('app') } },
        test: {
          name: 'judge',
          include: ['tests/judge/**/*.test.ts'],
          testTimeout: 1_800_000,
          hookTimeout: 120_000,
        },
      },
      { test: { name: 'reference', include: ['tests/reference/**/*.test.ts'], testTimeout: 30_000, isolate: false } },
      {
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
})
