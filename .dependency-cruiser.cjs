/** The arrows of the house: routes -> (ui, server, workers) -> core. Nothing points back. */
/** The core's own order, lowest first. What stands in one line does not know of each other, nor of anything below it here. */
const CORE = [
  ['errors[.]', 'random[.]', 'shipped[.]', 'find[.]', 'measure/'],
  ['fields/'],
  ['fish/', 'device/'],
  ['codes/', 'receive/'],
  ['ingredients/', 'inspect/'],
  ['record/', 'activity/[^/]+/(?!show|subject|hazard)'],
  ['log/'],
  ['bench/'],
  ['rules/', 'activity/[^/]+/hazard'],
  ['service/', 'activity/[^/]+/(show|subject)'],
  ['trace/']
];
/**
 * The server, lowest first. A load (`facts/`) reads what the record knows; a plan (`plans/`) reads what a person sets and computes
 * it, before the deed and at it; then come those who write (`operations/`) and those who show (`views/`, `queries/`), side by side.
 */
const SERVER = [
  ['clock[.]', 'config[.]', 'store/', 'devices/'],
  ['answering[.]', 'room[.]', 'input/'],
  ['facts/'],
  ['plans/'],
  ['operations/', 'views/'],
  ['queries/'],
  ['[^/]+[.]', 'rice/', 'import/', 'demo/']
];
const inServer = (names) => `^src/lib/server/(${names.join('|')})`;
const inCore = (names) => `^src/lib/core/(${names.join('|')})`;

module.exports = {
  forbidden: [
    {
      name: 'core-is-pure',
      comment: 'The core imports only itself and pure libraries: no Svelte, Node, DOM or database.',
      severity: 'error',
      from: { path: '^src/lib/core' },
      to: {
        pathNot: [
          '^src/lib/core',
          '^node_modules/(zod|d3-(random|array)|d3|canonicalize|temporal-polyfill|temporal-spec|temporal-utils|ml-levenberg-marquardt|ml-matrix|fuse\\.js|@types)/'
        ]
      }
    },
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: '^src/lib/core' },
      to: { dependencyTypes: ['core'] }
    },
    {
      name: 'words-above-core-only',
      severity: 'error',
      from: { path: '^src/lib/words' },
      to: { path: '^src/(routes|lib/(server|ui|workers))' }
    },
    {
      name: 'server-not-ui',
      severity: 'error',
      from: { path: '^src/lib/server' },
      to: { path: '^src/(routes|lib/(ui|workers))' }
    },
    {
      name: 'ui-not-server',
      severity: 'error',
      from: { path: '^src/lib/(ui|workers)' },
      to: { path: '^src/(routes|lib/server)' }
    },
    {
      name: 'one-database-door',
      comment: 'Only the store opens SQLite.',
      severity: 'error',
      from: { path: '^src', pathNot: '^src/lib/server/store/' },
      to: { path: 'better-sqlite3' }
    },
    {
      name: 'devices-stand-alone',
      comment: 'A simulated device shares the core with the house, and nothing else.',
      severity: 'error',
      from: { path: '^devices' },
      to: { path: '^src', pathNot: '^src/lib/core' }
    },
    ...CORE.slice(0, -1).map((names, index) => ({
      name: `core-${names[0].replace(/[^a-z]/g, '')}-does-not-look-up`,
      severity: 'error',
      from: { path: inCore(names) },
      to: { path: inCore(CORE.slice(index + 1).flat()) }
    })),
    {
      name: 'core-has-an-order',
      comment: 'Every part of the core stands in the list above.',
      severity: 'error',
      from: { path: '^src/lib/core' },
      to: { path: '^src/lib/core', pathNot: inCore(CORE.flat()) }
    },
    ...SERVER.slice(0, -1).map((names, index) => ({
      name: `server-${names[0].replace(/[^a-z]/g, '')}-does-not-look-up`,
      severity: 'error',
      from: { path: inServer(names) },
      to: { path: inServer(SERVER.slice(index + 1).flat()), pathNot: inServer(SERVER.slice(0, index + 1).flat()) }
    })),
    {
      name: 'who-shows-does-not-write',
      comment:
        'A view or a query reads; an operation writes. Neither knows the other: what both need is a load or a plan.',
      severity: 'error',
      from: { path: inServer(['views/', 'queries/']) },
      to: { path: inServer(['operations/']) }
    },
    {
      name: 'who-writes-does-not-show',
      severity: 'error',
      from: { path: inServer(['operations/']) },
      to: { path: inServer(['views/', 'queries/']) }
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } }
  ],
  required: [
    {
      name: 'svelte-files-are-read',
      comment: 'Each compiles to something that leans on Svelte: one that leans on nothing was listed, and not read.',
      severity: 'error',
      module: { path: '^src/.*\\.svelte$' },
      to: { path: '^node_modules/svelte/src' }
    }
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(build|\\.svelte-kit)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.layers.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'svelte', 'types', 'default'] }
  }
};
