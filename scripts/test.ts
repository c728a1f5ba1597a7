import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { relative } from 'node:path'
import { parseArgs } from 'node:util'
import { buildIfStale } from './build'
import { runChild } from './children'
import { ensurePrograms, headlessChromium, mariadb } from './debian'
import { seedOfCommit } from './drawn-tests'
import { drawInterfaceTests, tryInterface } from './interface-tests'
import type { LockNote } from './lock'
import { run } from './run'
import { lockFolder } from './service'
import { ScriptError } from './script-error'

const folder = '.data/test'
const results = 'test-results'

/** Which tests of the interface are tried: all of them, or those that are drawn by a word. */
interface TestOptions {
  readonly whole: boolean
  readonly seed: string
}

/** @throws ScriptError with the usage where the words are not understood */
function readOptions(args: readonly string[]): TestOptions {
  try {
    const { values } = parseArgs({
      args: [...args],
      options: { whole: { type: 'boolean', default: false }, seed: { type: 'string' } },
    })
    return { whole: values.whole, seed: values.seed ?? seedOfCommit() }
  } catch (error) {
    throw new ScriptError(
      `${error instanceof Error ? error.message : String(error)}; usage: ./test [--whole] [--seed WORD]`,
    )
  }
}

/** How many checks and tests were content, and the names of those that were not. */
interface Tally {
  passed: number
  readonly failed: string[]
}
const tally: Tally = { passed: 0, failed: [] }

/** Runs a tool of the packages to its end with its output in view; true when it was content. */
async function runTool(
  tool: string,
  args: readonly string[],
  environment: Record<string, string> = {},
): Promise<boolean> {
  const env = { ...process.env, ...environment }
  return (await runChild({ command: `node_modules/.bin/${tool}`, args, env, inView: true })).ok
}

/** A program that passes or fails as one check. */
interface Check {
  readonly name: string
  readonly args: readonly [tool: string, ...args: string[]]
}

/** Makes one check, with what it says shown at its end: others may be running beside it. */
async function check({ name, args: [tool, ...args] }: Check): Promise<void> {
  let said = ''
  const hear = (text: string) => void (said += text)
  const { ok } = await runChild({ command: `node_modules/.bin/${tool}`, args, hear })
  console.log(`\n— ${name}${said.trim() && `\n${said.trim()}`}`)
  if (ok) tally.passed++
  else {
    tally.failed.push(name)
    console.error(`✗ ${name} failed`)
  }
}

const { scripts } = JSON.parse(readFileSync('package.json', 'utf8')) as { scripts: Record<string, string> }

/** A check that people run by themselves, too, as `npm run …`. */
function checkOf(name: string, script: string): Check {
  const [tool, ...args] = (scripts[script] ?? '').split(' ')
  if (!tool) throw new ScriptError(`package.json has no script “${script}”`)
  return { name, args: [tool, ...args] }
}

// Two lanes of about the same length, side by side.
const types: Check[] = [
  checkOf('Types of everything (tsconfig.json)', 'typecheck'),
  checkOf('Types of the core, which knows neither browser nor Node.js', 'typecheck:core'),
  checkOf('Boundaries between folders', 'boundaries'),
  checkOf('Unused files, exports and packages (knip)', 'unused'),
  checkOf('Format (Prettier)', 'format:check'),
]
const theRest: Check[] = [checkOf('Lint (ESLint)', 'lint')]

async function checkInTurn(checks: readonly Check[]): Promise<void> {
  for (const each of checks) await check(each)
}

/** Adds what a tool has written of its tests. @param read reads that */
function addReport(path: string, read: (report: never) => Tally, ok: boolean): void {
  let counted: Tally = { passed: 0, failed: [] }
  try {
    counted = read(JSON.parse(readFileSync(path, 'utf8')) as never)
  } catch {
    console.error(`✗ ${path} was not written`)
  }
  tally.passed += counted.passed
  tally.failed.push(...counted.failed)
  // A run that ended badly without a failed test, or without any test, is a failure all the same.
  if (counted.failed.length === 0 && !(ok && counted.passed > 0)) tally.failed.push(`what is told in ${path}`)
}

interface VitestReport {
  readonly testResults: readonly {
    readonly name: string
    readonly assertionResults: readonly { readonly fullName: string; readonly status: string }[]
  }[]
}

interface PlaywrightReport {
  readonly suites: readonly PlaywrightSuite[]
}
interface PlaywrightSuite {
  readonly title: string
  readonly suites?: readonly PlaywrightSuite[]
  readonly specs: readonly { readonly title: string; readonly ok: boolean }[]
}

const specsOf = (suite: PlaywrightSuite): { name: string; ok: boolean }[] => [
  ...suite.specs.map(({ title, ok }) => ({ name: `${suite.title} › ${title}`, ok })),
  ...(suite.suites ?? []).flatMap(specsOf),
]

async function vitest(): Promise<void> {
  console.log('\n— Unit, reference and server tests')
  const report = ['--reporter=default', '--reporter=json', `--outputFile.json=${results}/vitest.json`]
  const ok = await runTool('vitest', ['run', ...report])
  addReport(
    `${results}/vitest.json`,
    ({ testResults }: VitestReport) => {
      const tests = testResults.flatMap(({ name, assertionResults }) =>
        assertionResults.map((test) => ({ name: `${relative('.', name)} › ${test.fullName}`, status: test.status })),
      )
      return {
        passed: tests.filter(({ status }) => status === 'passed').length,
        failed: [
          ...tests.filter(({ status }) => status === 'failed').map(({ name }) => name),
          // Such as could not even be read.
          ...testResults.filter((file) => file.assertionResults.length === 0).map(({ name }) => relative('.', name)),
        ],
      }
    },
    ok,
  )
}

async function playwright({ whole, seed }: TestOptions, note: (note: Partial<LockNote>) => void): Promise<void> {
  console.log('\n— The interface, in Chromium')
  const args: string[] = []
  if (!whole) {
    // Not among the results: Playwright clears those before it reads it.
    const list = `${folder}/drawn-tests`
    const { drawn, all } = await drawInterfaceTests(list, seed)
    console.log(`${drawn} of ${all} tests, drawn by “${seed}”: ./test --whole tries all.`)
    args.push(`--test-list=${list}`)
  }
  const ok = await tryInterface(folder, note, args)
  addReport(
    `${results}/report.json`,
    ({ suites }: PlaywrightReport) => {
      const specs = suites.flatMap(specsOf)
      return {
        passed: specs.filter((spec) => spec.ok).length,
        failed: specs.filter((spec) => !spec.ok).map(({ name }) => name),
      }
    },
    ok,
  )
}

await run(async () => {
  const options = readOptions(process.argv.slice(2))
  const note = await lockFolder(folder)
  rmSync(results, { recursive: true, force: true })
  mkdirSync(results, { recursive: true })
  ensurePrograms(...mariadb, headlessChromium)

  await buildIfStale()
  await Promise.all([checkInTurn(types), checkInTurn(theRest)])
  await vitest()

  await playwright(options, note)
  console.log(`\n${tally.passed} passed, ${tally.failed.length} failed`)
  // Once more at the end, where nobody has to look for them.
  for (const name of tally.failed) console.error(`✗ ${name}`)
  return tally.failed.length > 0 ? 1 : 0
})
