/** Arrows go one way: app → features → (store, ui, workers) → core. See docs/architecture.md. */
const CORE = [
  'language',
  'translation',
  'measures',
  'ingredients',
  'products',
  'recipes',
  'parsing',
  'classification',
  'formulation',
  'safety',
  'readings',
  'sessions',
  'trials',
  'agenda',
  'hair',
  'estimation',
  'evidence',
  'batches',
  'pantry',
  'programme',
  'making',
  'washday',
  'planning',
  'scheduling',
  'calendar',
  'exchange',
  'question',
  'sharing',
  'tables',
  'simulation',
  'calibration',
];

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
      name: 'core-folder-through-its-index',
      comment: 'A core folder is used through its index file; nothing reaches past it.',
      severity: 'error',
      from: { path: '^(app/|cli/|e2e/|server/|scripts/|src/(features|ui|store|workers)/|src/rooms)' },
      to: { path: '^src/core/[^/]+/(?!index\\.ts$)' },
    },
    {
      name: 'core-folders-through-their-index',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/' },
      to: { path: '^src/core/[^/]+/(?!index\\.ts$)', pathNot: '^src/core/$1/' },
    },
    // Within core, a folder may use only those before it in the list.
    ...CORE.map((folder, index) => ({
      name: `core-${folder}-uses-only-what-is-below`,
      severity: 'error',
      from: { path: `^src/core/${folder}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^src/core/(${CORE.slice(index + 1).join('|') || 'nothing-above'})/` },
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
