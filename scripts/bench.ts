import { build } from 'esbuild'
import { pathToFileURL } from 'node:url'

/** Runs the benchmark as one bundle, for that is how the app's workers have the core: `npm run bench`. */
const outfile = '.data/bench/run.mjs'
await build({
  entryPoints: ['tests/bench/run.ts'],
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  outfile,
})
await import(pathToFileURL(outfile).href)
