import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { startApp, type RunningApp } from './app-server'
import { buildIfStale } from './build'
import { demoPerson, migrateDatabase, seedDemo } from './database'
import { ensurePrograms, headlessChromium, mariadb as mariadbPrograms } from './debian'
import { takeLock } from './lock'
import { isOurMariadb, startMariadb, type RunningMariadb } from './mariadb'
import { anyFreePort } from './ports'
import { Stop } from './stop'

const folder = '.data/test'
const results = 'test-results'

interface Tally {
  passed: number
  failed: number
}
const tally: Tally = { passed: 0, failed: 0 }

/** Runs a program to its end with its output in view; true when it was content. */
function run(words: string[], environment: Record<string, string> = {}): Promise<boolean> {
  return new Promise((resolve) => {
    const child = spawn('npx', ['--no-install', ...words], {
      stdio: 'inherit',
      env: { ...process.env, ...environment },
    })
    child.once('exit', (code) => resolve(code === 0))
  })
}

/** A program that passes or fails as one check. */
interface Check {
  readonly name: string
  readonly words: readonly string[]
}

/** Makes one check, with what it says shown at its end: others may be running beside it. */
function check({ name, words }: Check): Promise<void> {
  return new Promise((resolve) => {
    const child = spawn('npx', ['--no-install', ...words])
    let said = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (piece) => (said += String(piece)))
    child.once('close', (code) => {
      console.log(`\n— ${name}${said.trim() && `\n${said.trim()}`}`)
      if (code === 0) tally.passed++
      else {
        tally.failed++
        console.error(`✗ ${name} failed`)
      }
      resolve()
    })
  })
}

// Two lanes of about the same length, side by side.
const types: Check[] = [{ name: 'Types of everything (tsconfig.json)', words: ['nuxt', 'typecheck'] }]
const theRest: Check[] = [
  { name: 'Format (Prettier)', words: ['prettier', '--check', '--cache', '--log-level=warn', '.'] },
  { name: 'Lint (ESLint)', words: ['eslint', '.', '--max-warnings=0'] },
  {
    name: 'Boundaries between folders',
    words: ['depcruise', 'app', 'core', 'catalogue', 'cli', 'server', 'scripts'],
  },
  { name: 'Unused files, exports and packages (knip)', words: ['knip'] },
  {
    name: 'Types of the core, which knows neither browser nor Node.js',
    words: ['tsc', '-p', 'tsconfig.core.json'],
  },
]

async function checkInTurn(checks: readonly Check[]): Promise<void> {
  for (const each of checks) await check(each)
}

function addReport(path: string, count: (report: never) => Tally, ok: boolean): void {
  let counted: Tally = { passed: 0, failed: 0 }
  try {
    counted = count(JSON.parse(readFileSync(path, 'utf8')) as never)
  } catch {
    console.error(`✗ ${path} was not written`)
  }
  tally.passed += counted.passed
  // A run that ended badly without a failed test, or without any test, is a failure all the same.
  tally.failed += counted.failed > 0 || (ok && counted.passed > 0) ? counted.failed : 1
}

async function vitest(): Promise<void> {
  console.log('\n— Unit, reference and server tests')
  const ok = await run([
    'vitest',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${results}/vitest.json`,
  ])
  addReport(
    `${results}/vitest.json`,
    (report: { numPassedTests: number; numFailedTests: number }) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests,
    }),
    ok,
  )
}

async function playwright(address: string): Promise<void> {
  console.log('\n— The interface, in Chromium')
  const ok = await run(['playwright', 'test'], { RAG_TIN_ADDRESS: address })
  addReport(
    `${results}/report.json`,
    (report: { stats: { expected: number; unexpected: number; flaky: number } }) => ({
      passed: report.stats.expected + report.stats.flaky,
      failed: report.stats.unexpected,
    }),
    ok,
  )
}

async function main(): Promise<void> {
  const isOurs = (command: string) =>
    isOurMariadb(`${folder}/mariadb`)(command) || command.includes('.output/server/index.mjs')
  const note = await takeLock(`${folder}/running.json`, isOurs)
  rmSync(results, { recursive: true, force: true })
  mkdirSync(results, { recursive: true })
  ensurePrograms(...mariadbPrograms, headlessChromium)

  buildIfStale()
  await Promise.all([checkInTurn(types), checkInTurn(theRest)])
  await vitest()

  let mariadb: RunningMariadb | undefined
  let app: RunningApp | undefined
  try {
    rmSync(`${folder}/mariadb`, { recursive: true, force: true })
    mariadb = await startMariadb(`${folder}/mariadb`)
    note({ children: [mariadb.process.pid!] })
    await migrateDatabase(mariadb.url)
    await seedDemo(mariadb.url)
    app = await startApp({
      folder,
      port: await anyFreePort(),
      databaseUrl: mariadb.url,
      demoEmail: demoPerson.email,
      // Each test has people of its own.
      settings: { NUXT_SIGN_UPS_PER_HOUR: '100000' },
    })
    note({ children: [mariadb.process.pid!, app.process.pid!], address: app.address })
    await playwright(app.address)
  } finally {
    await app?.stop()
    await mariadb?.stop()
  }
}

try {
  await main()
} catch (error) {
  tally.failed++
  console.error(error instanceof Stop ? error.message : error)
}
console.log(`\n${tally.passed} passed, ${tally.failed} failed`)
process.exit(tally.failed > 0 ? 1 : 0)
