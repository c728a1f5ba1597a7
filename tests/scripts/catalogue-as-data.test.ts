import { readdirSync } from 'node:fs'
import { resolve } from 'node:path'
import { expect, it } from 'vitest'
import { catalogueAsData } from '../../scripts/bundling/catalogue-as-data'

const { load } = catalogueAsData()
const files = readdirSync('catalogue').filter((name) => name.endsWith('.ts'))
const exportsOf = async (code: string) =>
  (await import(`data:text/javascript;base64,${Buffer.from(code).toString('base64')}`)) as Record<string, unknown>

it('what is built in of the catalogue is what its schemas have made of it', { timeout: 60_000 }, async () => {
  const asData: string[] = []
  for (const name of files) {
    const path = resolve('catalogue', name)
    const code = await load(path)
    if (code === undefined) continue
    asData.push(name)
    expect({ ...(await exportsOf(code)) }, name).toEqual({ ...((await import(path)) as object) })
  }
  expect(asData).toEqual(expect.arrayContaining(['bikes.ts', 'fixes.ts', 'hazards.ts', 'items.ts', 'place-words.ts']))
})

it('files with functions, and files elsewhere, stay as they are', async () => {
  expect(await load(resolve('catalogue/bike-from.ts'))).toBeUndefined()
  expect(await load(resolve('catalogue/demo/bench.ts'))).toBeUndefined()
  expect(await load(resolve('core/fix/schema.ts'))).toBeUndefined()
})
