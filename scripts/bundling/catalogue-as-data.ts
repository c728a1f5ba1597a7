import { dirname, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { isDeepStrictEqual } from 'node:util'
import { build } from 'esbuild'

const folder = fileURLToPath(new URL('../../catalogue', import.meta.url))

/**
 * The catalogue is checked and filled in by its schemas when the app is built, and not again in every browser and by every
 * worker: of a file that exports nothing but data, only that data is built in. Files that export functions stay as they are.
 */
export const catalogueAsData = () => ({
  name: 'catalogue-as-data',
  apply: 'build' as const,
  async load(id: string): Promise<string | undefined> {
    if (dirname(id) !== folder || !id.endsWith('.ts')) return undefined
    const exported = Object.entries(await exportsOf(id))
    if (exported.some(([, value]) => typeof value === 'function')) return undefined
    return exported.map(([name, value]) => exportOf(name, value, id)).join('\n')
  },
})

/** What a module exports, once it has run. */
async function exportsOf(id: string): Promise<Record<string, unknown>> {
  const { outputFiles } = await build({
    entryPoints: [id],
    bundle: true,
    platform: 'node',
    format: 'esm',
    write: false,
  })
  const [{ contents } = { contents: new Uint8Array() }] = outputFiles
  const address = `data:text/javascript;base64,${Buffer.from(contents).toString('base64')}`
  return (await import(address)) as Record<string, unknown>
}

/** @throws Error where a value is not what is read back of it: no data, then */
function exportOf(name: string, value: unknown, id: string): string {
  const written = JSON.stringify(value)
  if (!isDeepStrictEqual(JSON.parse(written), value))
    throw new Error(`${relative('.', id)}: “${name}” is not plain data, and cannot be built in as such`)
  return `export const ${name} = /* @__PURE__ */ JSON.parse(${JSON.stringify(written)})`
}
