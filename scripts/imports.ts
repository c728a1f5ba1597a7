import { writeFileSync } from 'node:fs'
import { cruise, type ICruiseResult } from 'dependency-cruiser'
import extractDepcruiseOptions from 'dependency-cruiser/config-utl/extract-depcruise-options'
import extractTSConfig from 'dependency-cruiser/config-utl/extract-ts-config'
import { format, resolveConfig } from 'prettier'

/** The picture that is written: npm run imports. */
export const importsFile = 'docs/imports.md'

const folders = ['app', 'core', 'catalogue', 'wording', 'paper', 'cli', 'server', 'scripts']

/** Who imports whom, each by the name of its folder. */
type Imports = ReadonlyMap<string, ReadonlySet<string>>

/** The imports of every source file, templates included. */
async function cruiseSources(): Promise<ICruiseResult> {
  const options = await extractDepcruiseOptions('./.dependency-cruiser.cjs')
  const { output } = await cruise(folders, options, undefined, { tsConfig: extractTSConfig('tsconfig.plain.json') })
  if (typeof output === 'string') throw new TypeError('dependency-cruiser answered in words')
  return output
}

/** The imports between folders; a file for which `folderOf` knows none is left out. */
function importsBetween({ modules }: ICruiseResult, folderOf: (file: string) => string | undefined): Imports {
  const imports = new Map<string, Set<string>>()
  for (const { source, dependencies } of modules) {
    const from = folderOf(source)
    if (from === undefined) continue
    const targets = imports.get(from) ?? new Set<string>()
    imports.set(from, targets)
    for (const { resolved } of dependencies) {
      const to = folderOf(resolved)
      if (to !== undefined && to !== from) targets.add(to)
    }
  }
  return imports
}

/** Each folder after all that it imports; the rest, which go round in a circle, at the end. */
function inOrder(imports: Imports): string[] {
  const left = new Set([...imports.keys()].sort())
  const order: string[] = []
  for (;;) {
    const next = [...left].find((folder) => [...(imports.get(folder) ?? [])].every((each) => !left.has(each)))
    if (next === undefined) return [...order, ...left]
    order.push(next)
    left.delete(next)
  }
}

/**
 * A design structure matrix: in each row ● under what the folder imports. Without a circle all marks stand to the left
 * of the diagonal.
 */
function matrixOf(imports: Imports): string {
  const order = inOrder(imports)
  const head = `| | ${order.map((_, i) => i + 1).join(' | ')} |\n|---|${order.map(() => ':-:').join('|')}|`
  const rows = order.map((folder, row) => {
    const cells = order.map((other, column) =>
      row === column ? '·' : imports.get(folder)?.has(other) ? (column < row ? '●' : '**✗**') : '',
    )
    return `| ${row + 1} ${folder} | ${cells.join(' | ')} |`
  })
  return [head, ...rows].join('\n')
}

/** The picture of who imports whom, as it is now. */
export async function drawImports(): Promise<string> {
  const sources = await cruiseSources()
  const room = (file: string) => /^core\/([^/]+)\//.exec(file)?.[1]
  const house = (file: string) =>
    /^(app\/(?!.*\.d\.ts)[^/]+)/.exec(file)?.[1] ??
    /^(core|catalogue|wording|paper|cli|scripts|server)\//.exec(file)?.[1]
  const words = `# Who imports whom

Drawn from the imports by \`npm run imports\`; a test holds it to them, and \`npm run boundaries\` refuses an import that goes
the other way. A row has ● under each folder that its own imports. All stand to the left of the diagonal: nothing imports what
imports it, by whatever way round.

## The rooms of the core

${matrixOf(importsBetween(sources, room))}

## The app, and what stands around it

${matrixOf(importsBetween(sources, house))}
`
  return await format(words, { ...(await resolveConfig(importsFile)), parser: 'markdown' })
}

if (process.argv[1]?.endsWith('imports.ts')) writeFileSync(importsFile, await drawImports())
