import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'
import { buildIfStale } from './build'
import { runChild } from './children'
import { ensurePrograms, headlessChromium, mariadb } from './debian'
import { tryInterface } from './interface-tests'
import { run } from './run'
import { ScriptError } from './script-error'
import { lockFolder } from './service'

const folder = '.data/judge'
const chapters: Readonly<Record<string, string>> = {
  'sessions 1': 'Sessions of one browser',
  'sessions 2': 'Sessions of two browsers',
  kills: 'Servers killed and stalled',
  starts: 'Starts interrupted',
  upgrades: 'Upgrades killed',
  hostile: 'What makes no sense',
  long: 'As long as trips may be',
  load: 'Many at a time',
  'load-killed': 'Many at a time, and the database killed',
  memory: 'Ten minutes',
  promises: 'Promises and drawn trips',
  bounds: 'A bound that no kit can beat',
  roads: 'Roads as riders pack for them',
  properties: 'Kits when a trip is a little other',
  'drawn-search': 'A search on drawn trips',
  split: 'Kits shared out among riders',
  pack: 'Kits in bags',
  triage: 'What to do when something fails on the road',
  'boxes 1': 'Every screen and dialog at every size, with names as people give them',
  'boxes 2': 'Every screen and dialog at every size, with long names',
  'boxes 3': 'Every screen and dialog at every size, of an empty trip',
}

/** Tries everything that is seeded and long, and writes down what came of it. */
async function judge(): Promise<void> {
  ensurePrograms(...mariadb, headlessChromium)
  await buildIfStale()
  const note = await lockFolder(folder)
  for (const chapter of Object.keys(chapters)) rmSync(`${folder}/${chapter}.json`, { force: true })
  const begun = Date.now()
  const everything = { RAG_TIN_JUDGE: 'full' }
  const judging = (...args: string[]) =>
    runChild({
      command: 'node_modules/.bin/vitest',
      args: ['run', '--project', 'judge', ...args],
      inView: true,
      env: { ...process.env, ...everything },
    })
  // Where time is measured, or given, the machine has nothing else to do.
  const measured = ['load', 'long', 'split'].map((name) => `tests/judge/${name}`)
  const runs = [
    await judging(...measured.map((path) => `--exclude=${path}*`)),
    await judging('--no-file-parallelism', ...measured),
  ]
  const boxes = await tryInterface(folder, note, ['boxes.spec'], everything)
  if (!boxes || !runs.every(({ ok }) => ok))
    throw new ScriptError('Not everything held; docs/judged.md is left as it was.')
  const minutes = Math.round((Date.now() - begun) / 60_000)
  const found = existsSync(folder) ? readdirSync(folder).map((file) => file.replace(/\.json$/, '')) : []
  const missing = Object.keys(chapters).filter((chapter) => !found.includes(chapter))
  if (missing.length > 0) throw new ScriptError(`Nothing was written down of ${missing.join(', ')}.`)
  const text = Object.entries(chapters).map(([chapter, title]) => {
    const lines = JSON.parse(readFileSync(`${folder}/${chapter}.json`, 'utf8')) as string[]
    return [`## ${title}`, ...lines.map((line) => `- ${line}`)].join('\n')
  })
  writeFileSync(
    'docs/judged.md',
    [
      '# Judged',
      `What \`npm run judge\` found: seeded, ${minutes} minutes on ${cpus().length} cores with Node.js ${process.version}. \`./test\` runs a tenth of each.`,
      ...text,
    ].join('\n\n') + '\n',
  )
  console.log(`docs/judged.md written after ${minutes} minutes.`)
}

await run(async () => {
  await judge()
  return 0
})
