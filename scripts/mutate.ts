import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Stryker } from '@stryker-mutator/core'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import ts from 'typescript'
import { run } from './run'
import { ScriptError } from './script-error'

/** Rooms that are about to be rebuilt, and one that is made of labels. */
const leftOut = ['availability', 'trip-ledger', 'calculators']
/** So many lines of the core are drawn where nothing else is said. */
const defaultLines = 250

/** A declaration of the core, as lines of its file. */
interface Piece {
  readonly file: string
  readonly from: number
  readonly to: number
}

function piecesOfCore(): Piece[] {
  const rooms = readdirSync('core').filter((room) => !leftOut.includes(room))
  return rooms.flatMap((room) =>
    readdirSync(join('core', room))
      .filter((name) => name !== 'index.ts')
      .flatMap((name) => piecesOf(join('core', room, name))),
  )
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
  const [seed = 1, most = defaultLines] = args.filter((arg) => !files.includes(arg)).map(Number)
  if (!Number.isInteger(seed) || !(most > 0)) throw new ScriptError('usage: npm run mutate -- [SEED [LINES]] or FILE …')
  const sample = files.length > 0 ? files.flatMap(piecesOf) : drawn(piecesOfCore(), seed, most)
  const results = await new Stryker({
    mutate: sample.map(({ file, from, to }) => `${file}:${from}-${to}`),
    // What is said in words is held elsewhere.
    mutator: { excludedMutations: ['StringLiteral'] },
    testRunner: 'vitest',
    vitest: { configFile: 'vitest.mutate.config.ts' },
    coverageAnalysis: 'perTest',
    concurrency: 2,
    // Slow is not endless: other work may be going on beside it.
    timeoutMS: 20_000,
    timeoutFactor: 3,
    reporters: ['progress-append-only'],
    tempDirName: '.data/stryker',
    // The tests look at some of the app and the server, too: all sources go along, and nothing that is made.
    ignorePatterns: ['.data', '.output', 'docs', '!.nuxt'],
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
