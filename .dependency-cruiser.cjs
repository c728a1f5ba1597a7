/** The folders' boundaries: data flows one way, and a folder is entered by its door. */
module.exports = {
  forbidden: [
    {
      name: 'core-is-pure',
      comment: 'The core imports only itself, zod and small libraries for mathematics and parsing.',
      severity: 'error',
      from: { path: '^core/' },
      to: {
        pathNot: [
          '^core/',
          '^node_modules/(zod|geographiclib-geodesic|fast-xml-parser|saxes|highs|suncalc|opening_hours|@stdlib/math-base-special-gammainc)/',
        ],
      },
    },
    {
      name: 'core-loads-no-solver',
      comment: 'HiGHS is handed to the core by whoever has loaded it; the core knows only its types.',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^node_modules/highs/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-folders-have-one-door',
      severity: 'error',
      from: { path: '^core/([^/]+)/' },
      to: { path: '^core/([^/]+)/.+', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'the-core-is-entered-by-its-doors',
      severity: 'error',
      from: { path: '^(app|server|cli|catalogue|scripts)/' },
      to: { path: '^core/[^/]+/(?!index\\.ts$)' },
    },
    {
      name: 'the-catalogue-is-entered-by-its-doors',
      severity: 'error',
      from: { path: '^(app|server|cli|scripts)/' },
      to: { path: '^catalogue/', pathNot: '^catalogue/(demo/)?index\\.ts$' },
    },
    {
      name: 'catalogue-knows-only-the-core',
      severity: 'error',
      from: { path: '^catalogue/' },
      to: { pathNot: ['^catalogue/', '^core/', '^node_modules/zod/'] },
    },
    {
      name: 'nothing-imports-the-app-or-the-server',
      severity: 'error',
      from: { pathNot: '^(app|server|scripts|tests)/' },
      to: { path: '^(app|server)/' },
    },
    {
      name: 'the-app-does-not-import-the-server',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: '^server/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.cruise.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.mjs', '.js', '.d.ts'] },
  },
}
