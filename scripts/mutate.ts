import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Stryker } from '@stryker-mutator/core'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import ts from 'typescript'
import { run } from './run'
import { ScriptError } from './script-error'

/** A room that is made of labels, and two whose tests weigh whole catalogues and every day of a trip. */
const leftOut = ['calculators', 'unlock', 'stress']
/** So many lines of the core are drawn where nothing else is said. */
const defaultLines = 250

/** A declaration of the core, as lines of its file. */
interface Piece {
  readonly file: string
  readonly from: number
  readonly to: number
}

const rooms = readdirSync('core')

/** @param named the rooms to draw from; none for all that are not left out */
function piecesOfCore(named: readonly string[]): Piece[] {
  return rooms
    .filter((room) => (named.length > 0 ? named.includes(room) : !leftOut.includes(room)))
    .flatMap((room) => filesOf(join('core', room)))
    .flatMap(piecesOf)
}

/** The files of a room that say something themselves, and of the rooms in it. */
function filesOf(room: string): string[] {
  return readdirSync(room, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory()) return filesOf(join(room, entry.name))
    return entry.name === 'index.ts' ? [] : [join(room, entry.name)]
  })
}

/** The functions of a file, and the methods of its classes. */
function piecesOf(file: string): Piece[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  const pieces: Piece[] = []
  const lineOf = (position: number) => source.getLineAndCharacterOfPosition(position).line + 1
  const add = (node: ts.Node) => pieces.push({ file, from: lineOf(node.getStart(source)), to: lineOf(node.getEnd()) })
  for (const statement of source.statements) {
    if (ts.isClassDeclaration(statement)) statement.members.forEach(add)
    else if (ts.isFunctionDeclaration(statement) || ts.isVariableStatement(statement)) add(statement)
  }
  return pieces
}

/** Pieces drawn at random until they come to so many lines. */
function drawn(pieces: readonly Piece[], seed: number, most: number): Piece[] {
  const left = [...pieces]
  const random = xoroshiro128plus(seed)
  const taken: Piece[] = []
  for (let lines = 0; lines < most && left.length > 0;) {
    const [piece] = left.splice(uniformInt(random, 0, left.length - 1), 1)
    if (!piece) break
    taken.push(piece)
    lines += piece.to - piece.from + 1
  }
  return taken
}

await run(async () => {
  const args = process.argv.slice(2)
  const files = args.filter((arg) => arg.endsWith('.ts'))
  const named = args.filter((arg) => rooms.includes(arg))
  const numbers = args.filter((arg) => !files.includes(arg) && !named.includes(arg)).map(Number)
  const [seed = 1, most = defaultLines] = numbers
  if (!Number.isInteger(seed) || !(most > 0))
    throw new ScriptError('usage: npm run mutate -- [ROOM …] [SEED [LINES]] or FILE …')
  const sample = files.length > 0 ? files.flatMap(piecesOf) : drawn(piecesOfCore(named), seed, most)
  const results = await new Stryker({
    mutate: sample.map(({ file, from, to }) => `${file}:${from}-${to}`),
    // What is said in words is held elsewhere.
    mutator: { excludedMutations: ['StringLiteral'] },
    testRunner: 'vitest',
    vitest: { configFile: 'vitest.mutate.config.ts' },
    coverageAnalysis: 'perTest',
    concurrency: 2,
    // Slow is not endless: other work may be going on beside it.
    dryRunTimeoutMinutes: 20,
    timeoutMS: 20_000,
    timeoutFactor: 3,
    reporters: ['progress-append-only'],
    tempDirName: '.data/stryker',
    // The tests look at some of the app and the server, too: all sources go along, and nothing that is made.
    ignorePatterns: ['.data', '.output', 'docs/screenshots', '!.nuxt'],
    disableTypeChecks: true,
  }).runMutationTest()

  const counted = results.filter(({ status }) => status !== 'Ignored' && status !== 'CompileError')
  const alive = counted.filter(({ status }) => status === 'Survived' || status === 'NoCoverage')
  const killed = counted.length - alive.length
  const lines = alive.map(
    ({ fileName, location, replacement, mutatorName, status }) =>
      `${fileName.replace(`${process.cwd()}/`, '')}:${location.start.line} ${mutatorName} ${status}: ${replacement.replace(/\s+/g, ' ')}`,
  )
  const share = counted.length > 0 ? (100 * killed) / counted.length : 0
  writeFileSync('.data/mutate.txt', `${lines.join('\n')}\n`)
  console.log(lines.join('\n'))
  console.log(
    `${files.length > 0 ? files.join(', ') : `seed ${seed}`}: ${killed} of ${counted.length} changes were noticed, ${share.toFixed(1)} %`,
  )
  return 0
})
