/**
 * Which folder may lean on which. Every folder of core, server and app is covered: a new one that no rule
 * names fails `every-folder-is-named`.
 */

/** Layers of the app, lowest first: each leans only on those before it. */
const APP = ['shared/(?!testing)', 'offline', 'features', 'lazy', 'shell', 'app'];

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'A circle of files cannot be read, tested or moved one at a time.',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      comment: 'Core knows nothing of screens, servers or Node.js.',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: {
        path: '^(app|copy|server|tools|bench|e2e)/|^(node:)?(fs|path|crypto|os|net|http)$|node_modules/(react|expo|koa|knex)',
      },
    },
    {
      name: 'copy-is-words',
      comment: 'Copy puts into words what core decides: it knows no screen and no server.',
      severity: 'error',
      from: { path: '^copy/src' },
      to: { path: '^(app|server|tools|bench|e2e)/|node_modules/(react|expo|koa|knex)' },
    },
    {
      name: 'one-way-to-a-locale',
      comment:
        'Sentences of a locale are read through copy, so that another locale can stand in their place.',
      severity: 'error',
      from: { pathNot: '^copy/src' },
      to: { path: '^copy/src/en/' },
    },
    {
      name: 'server-has-no-screen',
      comment: 'The server knows nothing of screens.',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: '^(app|tools|bench|e2e)/|node_modules/(react|expo)' },
    },
    {
      name: 'app-has-no-server',
      severity: 'error',
      from: { path: '^app/src' },
      to: { path: '^(server|tools|bench|e2e)/' },
    },
    {
      name: 'features-stand-apart',
      comment: 'What two features share lives in shared, offline or core.',
      severity: 'error',
      from: { path: '^app/src/features/([^/]+)/' },
      to: { path: '^app/src/features/', pathNot: '^app/src/features/$1/' },
    },
    ...APP.map((layer, i) => ({
      name: `app-layers-${layer.split('/')[0]}`,
      comment: 'The app is built in layers: shared, offline, features, lazy, shell, routes.',
      severity: 'error',
      from: { path: `^app/src/${layer.replace('/(?!testing)', '')}/` },
      to: {
        path:
          APP.slice(i + 1)
            .map((above) => `^app/src/${above.replace('/(?!testing)', '')}/`)
            .join('|') || '^$',
      },
    })),
    {
      name: 'http-db-one-way',
      comment: 'The database knows nothing of requests.',
      severity: 'error',
      from: { path: '^server/src/db/', pathNot: '\\.test\\.ts$' },
      to: { path: '^server/src/(http|commands|facts|pages|exchange|demo)/' },
    },
    {
      name: 'every-folder-is-named',
      comment:
        'A folder that no layer names is a room without a door: add it to this file and to docs/ARCHITECTURE.md.',
      severity: 'error',
      from: {},
      to: {
        path: '^(core|copy|server|app)/src/[^/]+/',
        pathNot: [
          '^core/src/(agreement|assessment|causes|choreography|clearance|commands|course|debrief|drill-cases|drills|evidence|exchange|flight-log|flight-reading|geometry|go-no-go|insights|methods|pages|people|plan|ranking|rates|reconstruct|recorded-flight|restrictions|schemas|second-model|simulator|sums|sync|synthetic-pilot|testing|vocabulary|weakness)/',
          '^copy/src/en/',
          '^server/src/(commands|db|demo|exchange|facts|flight-files|http|pages|people|problem|testing)/',
          '^app/src/(app|features|lazy|offline|shared|shell)/',
        ],
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'app/dist|\\.expo|node_modules/(?!react|expo|koa|knex)' },
    tsConfig: { fileName: 'tsconfig.depcruise.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
