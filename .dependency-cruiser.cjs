/** Imports run one way: core, then contract, then server and web. No rings, not even of types. */
const rule = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from },
  to: { path: to },
});

/** Core's rooms from the ground up: each may know those before it, and none after it. */
const ROOMS = [
  'outcome',
  'numerics',
  'units',
  'colour',
  'trade',
  'body',
  'air',
  'evaporation',
  'compressedAir',
  'inForce',
  'material',
  'layers',
  'prep',
  'reducer',
  'mix',
  'amount',
  'ground',
  'coats',
  'gun',
  'look',
  'film',
  'cure',
  'heat',
  'route',
  'risk',
  'calibration',
  'coat',
  'schedule',
  'safety',
  'diagnosis',
  'finish',
];
const rooms = ROOMS.slice(0, -1).map((room, i) =>
  rule(
    `${room}-knows-no-room-above`,
    `^packages/core/src/${room}/`,
    `^packages/core/src/(${ROOMS.slice(i + 1).join('|')})/`,
  ),
);

module.exports = {
  forbidden: [
    { name: 'no-rings', severity: 'error', from: {}, to: { circular: true } },
    rule(
      'core-knows-only-itself',
      '^packages/core/src',
      '^(packages/(contract|server|web)|node_modules)',
    ),
    // A room that is not in the list has no place yet.
    {
      name: 'every-room-has-its-place',
      severity: 'error',
      from: {},
      to: { path: '^packages/core/src/', pathNot: `^packages/core/src/(${ROOMS.join('|')})/` },
    },
    ...rooms,
    rule('contract-knows-core', '^packages/contract/src', '^packages/(server|web)'),
    rule('server-knows-no-screen', '^packages/server/src', '^packages/web'),
    rule('web-knows-no-server', '^packages/web/src', '^packages/server'),
    // All calculations by name are for the open doors: what asks one names it, and carries no other.
    {
      name: 'a-page-carries-what-it-asks',
      severity: 'error',
      from: { path: '^packages/(web|contract)/src' },
      to: { path: '^packages/contract/src/registry', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: { orphan: true, path: '^packages/[^/]+/src', pathNot: '\\.d\\.ts$' },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(dist|test)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.json'],
    },
  },
};
