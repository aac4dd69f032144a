// The layer rules: who may know whom. `npm run layers` fails on the first import against one of them.
const path = (folder) => `^${folder}/src/`;

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-knows-nobody',
      severity: 'error',
      from: { path: path('core') },
      to: { path: '^(server|web|demo|e2e|scripts)/' },
    },
    {
      name: 'core-is-pure',
      comment:
        'no platform, no interface, no database: only Joi and the letters of domains in the contract, readers of separated text and of XML in the formats, and a Fourier transform in the signals',
      severity: 'error',
      from: { path: path('core'), pathNot: '\\.test\\.ts$|/testing/' },
      to: {
        dependencyTypes: ['core', 'npm', 'npm-dev', 'npm-no-pkg', 'npm-unknown'],
        pathNot: 'node_modules/(joi|tr46|@types/tr46|papaparse|@types/papaparse|saxes|fft\\.js)/',
      },
    },
    {
      name: 'joi-only-in-the-contract',
      severity: 'error',
      from: { path: path('core'), pathNot: '^core/src/contract/|\\.test\\.ts$' },
      to: { path: 'node_modules/(joi|(@types/)?tr46)/' },
    },
    {
      name: 'separated-text-only-in-the-formats',
      severity: 'error',
      from: { path: path('core'), pathNot: '^core/src/formats/' },
      to: { path: 'node_modules/(@types/)?papaparse/' },
    },
    {
      name: 'fourier-only-in-the-signals',
      severity: 'error',
      from: { path: path('core'), pathNot: '^core/src/signals/' },
      to: { path: 'node_modules/fft\\.js/' },
    },
    {
      name: 'core-folders-meet-at-their-doors',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/' },
      to: { path: '^core/src/[^/]+/.+', pathNot: '^core/src/($1|testing)/|^core/src/[^/]+/index\\.ts$' },
    },
    { name: 'server-knows-core', severity: 'error', from: { path: path('server') }, to: { path: '^(web|demo|e2e)/' } },
    {
      name: 'sequelize-stays-below',
      comment: 'rows are read and written in repositories, edits and migrations only',
      severity: 'error',
      from: {
        path: path('server'),
        pathNot:
          '^server/src/(database|changes|testing)/|\\.repository\\.ts$|(bootstrap|worker|(demo|seeded)\\.service|health\\.controller)\\.ts$|\\.test\\.ts$',
      },
      to: { path: 'node_modules/sequelize/' },
    },
    { name: 'web-knows-core', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|demo|e2e)/' } },
    {
      name: 'web-takes-no-joi',
      comment: 'types may come from the contract, schemas stay on the server',
      severity: 'error',
      from: { path: '^web/src/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '(core/(src|dist)/contract|node_modules/joi)/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'design-knows-no-feature',
      severity: 'error',
      from: { path: '^web/src/(design|workers)/' },
      to: { path: '^web/src/(features|app)/' },
    },
    {
      name: 'features-know-no-app',
      severity: 'error',
      from: { path: '^web/src/features/' },
      to: { path: '^web/src/app/' },
    },
    {
      name: 'features-meet-at-their-doors',
      severity: 'error',
      from: { path: '^web/src/features/([^/]+)/' },
      to: { path: '^web/src/features/[^/]+/', pathNot: '^web/src/features/$1/|^web/src/features/[^/]+/index\\.ts$' },
    },
    {
      name: 'rooms-of-the-bench-meet-at-their-doors',
      severity: 'error',
      from: { path: '^web/src/features/bench/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: {
        path: '^web/src/features/bench/[^/]+/',
        pathNot: '^web/src/features/bench/$1/|^web/src/features/bench/[^/]+/index\\.ts$',
      },
    },
    {
      name: 'the-bench-knows-its-rooms-by-their-doors',
      severity: 'error',
      from: { path: '^web/src/features/bench/[^/]+\\.tsx?$', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/src/features/bench/[^/]+/', pathNot: '/index\\.ts$' },
    },
    { name: 'demo-knows-core', severity: 'error', from: { path: '^demo/' }, to: { path: '^(server|web|e2e)/' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules|/dist/' },
    exclude: { path: 'node_modules/\\.cache/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['types', 'import', 'default'] },
  },
};
