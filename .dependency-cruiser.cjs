/** Arrows go one way: app → features → (store, ui, workers) → core. See docs/architecture.md. */
const { readdirSync } = require('node:fs');

/** The wings of the core and the rooms of each, from the bottom up: a file uses only what stands before it. */
const WINGS = {
  base: ['language', 'translation', 'measures', 'programme'],
  records: ['log', 'shapes', 'files'],
  recipe: ['ingredients', 'products', 'larder', 'parsing', 'classification', 'safety'],
  kitchen: ['formulation', 'batches', 'pantry', 'making', 'methods'],
  hair: ['checks', 'history', 'state', 'estimation', 'trials', 'evidence'],
  plan: ['agenda', 'washday', 'planning', 'scheduling', 'question'],
  files: ['calendar', 'sharing', 'tables', 'handover'],
  vision: ['pictures', 'labels', 'hairs', 'words'],
  lab: ['testing', 'simulation', 'calibration', 'rendering'],
};
const MOST_ROOMS = 6;

for (const wing of readdirSync('src/core'))
  if (!(wing in WINGS)) throw new Error(`src/core/${wing} has no place in the order of wings.`);
const ROOMS = Object.entries(WINGS).flatMap(([wing, rooms]) => rooms.map((room) => `${wing}/${room}`));
for (const [wing, rooms] of Object.entries(WINGS)) {
  if (rooms.length > MOST_ROOMS) throw new Error(`src/core/${wing} has more rooms than ${MOST_ROOMS}.`);
  for (const room of readdirSync(`src/core/${wing}`))
    if (!rooms.includes(room))
      throw new Error(`src/core/${wing}/${room} has no place in the order of rooms.`);
}

const onlyDown = (name, from, forbidden) => ({
  name,
  severity: 'error',
  comment: `${from} may not reach ${forbidden}`,
  from: { path: from },
  to: { path: forbidden },
});

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    onlyDown(
      'core-imports-nothing-above',
      '^src/core/',
      '^(app|cli|server|src/(features|ui|store|workers))/',
    ),
    {
      name: 'core-knows-no-interface',
      severity: 'error',
      from: { path: '^src/core/' },
      to: {
        path: 'node_modules/(react|react-native|expo|@reduxjs|react-redux|nativewind|@react-native-async-storage)',
      },
    },
    onlyDown('ui-stays-below-features', '^src/ui/', '^(app|src/(features|store|workers))/'),
    onlyDown('store-stays-below-features', '^src/store/', '^(app|src/(features|ui))/'),
    onlyDown('workers-stay-below-features', '^src/workers/', '^(app|src/(features|ui|store))/'),
    // rooms.ts puts features together for app/: a feature that used it would reach into all others.
    onlyDown('features-stay-below-rooms-and-app', '^src/features/', '^(app/|src/rooms\\.ts)'),
    onlyDown('rooms-stay-below-app', '^src/rooms\\.ts', '^app/'),
    {
      name: 'core-room-through-its-index',
      comment: 'A room of the core is used through its index file; nothing reaches past it.',
      severity: 'error',
      from: { path: '^(app/|cli/|e2e/|server/|scripts/|src/(features|ui|store|workers)/|src/rooms)' },
      to: { path: '^src/core/[^/]+/[^/]+/(?!index\\.ts$)' },
    },
    {
      name: 'core-rooms-through-their-index',
      severity: 'error',
      from: { path: '^src/core/([^/]+/[^/]+)/' },
      to: { path: '^src/core/[^/]+/[^/]+/(?!index\\.ts$)', pathNot: '^src/core/$1/' },
    },
    // Within the core, a room may use only those before it.
    ...ROOMS.slice(0, -1).map((room, index) => ({
      name: `core-${room.replace('/', '-')}-uses-only-what-is-below`,
      severity: 'error',
      from: { path: `^src/core/${room}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^src/core/(${ROOMS.slice(index + 1).join('|')})/` },
    })),
    {
      name: 'no-feature-reaches-into-another',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/([^/]+)/', pathNot: '^src/features/($1|shared)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(dist|docs)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'] },
  },
};
