import { expect, it } from 'vitest'
import { fileOfTheTrail } from '../../scripts/bundling/file-of-the-trail'

/** Who imports whom, with a circle between the stage and what it counts with, as there may be one. */
const imports: Readonly<Record<string, readonly string[]>> = {
  '/app/entry.ts': ['/vue.js', '/app/stores/trip.ts'],
  '/vue.js': [],
  '/app/stores/trip.ts': ['/vue.js'],
  '/app/pages/trips/[id].vue': ['/vue.js', '/app/frame.vue'],
  '/app/frame.vue': ['/app/stores/trip.ts'],
  '/app/pages/trips/[id]/trail.vue': ['/app/stores/trail.ts'],
  '/app/stores/trail.ts': ['/app/mend.ts', '/app/stores/trip.ts'],
  '/app/mend.ts': ['/app/stores/trail.ts'],
  '/app/pages/trips/[id]/weigh.vue': ['/app/frame.vue', '/chart.js'],
  '/chart.js': [],
}
const graph = {
  getModuleIds: () => Object.keys(imports),
  getModuleInfo: (id: string) => {
    const importedIds = imports[id]
    return importedIds ? { isEntry: id === '/app/entry.ts', importedIds } : null
  },
}

it('what the Trail imports and the entry does not is one file, and all else is left to the bundler', () => {
  const { manualChunks, minify } = fileOfTheTrail().outputOptions({ minify: true })
  expect(minify).toBe(true)
  expect(Object.keys(imports).filter((id) => manualChunks(id, graph) === 'trail')).toEqual([
    '/app/pages/trips/[id].vue',
    '/app/frame.vue',
    '/app/pages/trips/[id]/trail.vue',
    '/app/stores/trail.ts',
    '/app/mend.ts',
  ])
  expect(Object.keys(imports).map((id) => manualChunks(id, graph))).toContain(undefined)
})
