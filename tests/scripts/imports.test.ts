import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { drawImports, importsFile } from '../../scripts/imports'

it('the picture of who imports whom is that of the imports as they are, and shows no circle', async () => {
  const drawn = await drawImports()
  expect(readFileSync(importsFile, 'utf8'), 'draw it anew: npm run imports').toBe(drawn)
  expect(drawn).not.toContain('✗')
  // Templates of Vue have their imports, too.
  expect(drawn).toMatch(/app\/pages +\|(?:[^|]*\|)* +● +\|/)
})
