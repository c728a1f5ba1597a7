import { statSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { BaseSequencer, type Reporter, type TestModule, type TestSpecification, type Vitest } from 'vitest/node'

/** Tests of rooms that are left out, of words and drawings; and those that read texts by the thousand. */
const leftOut = [
  ...['unlock', 'calculators', 'stress'],
  ...['amounts', 'bike-side-view', 'failure'],
  ...['text', 'gpx-fuzz'],
  // These weigh whole trips for each test, and took three quarters of the time of all: a change is found by others or not.
  ...['ways', 'purchase', 'handed-on', 'search', 'flips'],
].map((name) => `tests/unit/${name}.test.ts`)

/** The smaller files first: they are the quicker, and one test that notices is enough. */
class SmallestFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const size = ({ moduleId }: TestSpecification) => statSync(moduleId).size
    return Promise.resolve([...files].sort((a, b) => size(a) - size(b)))
  }
}

/**
 * Ends a run at a test file that fails before its first test, as where the catalogue is refused by a changed schema:
 * Stryker looks at tests alone, and would take a run without a failed one for a change that nobody noticed.
 */
class EndsWhereNothingCanBeRead implements Reporter {
  private vitest: Vitest | undefined

  onInit(vitest: Vitest): void {
    this.vitest = vitest
  }

  onTestModuleEnd(module: TestModule): void {
    const [error] = module.errors()
    if (!error || !this.vitest) return
    this.vitest.state.catchError(error, 'Unreadable test file')
    void this.vitest.cancelCurrentRun('test-failure')
  }
}

/** The tests that hold the core, in one project: what a changed core is tried against by `npm run mutate`. */
export default defineConfig({
  resolve: {
    alias: [{ find: /^\.\.?\/once$/, replacement: fileURLToPath(new URL('tests/every-time.ts', import.meta.url)) }],
  },
  test: {
    include: ['tests/unit/**/*.test.ts', 'tests/reference/**/*.test.ts'],
    exclude: [...leftOut, ...['knapsack', 'endless-hours'].map((name) => `tests/reference/${name}.test.ts`)],
    reporters: [new EndsWhereNothingCanBeRead()],
    // Files share what they import: reading it anew for each took longer than the tests.
    isolate: false,
    sequence: { sequencer: SmallestFirst },
    testTimeout: 30_000,
  },
})
