/** Imports run one way: core, then contract, then server and web. No rings. */
const rule = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    { name: 'no-rings', severity: 'error', from: {}, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
    rule('core-knows-only-itself', '^packages/core/src', '^(packages/(contract|server|web)|node_modules)'),
    rule('contract-knows-core', '^packages/contract/src', '^packages/(server|web)'),
    rule('server-knows-no-screen', '^packages/server/src', '^packages/web'),
    rule('web-knows-no-server', '^packages/web/src', '^packages/server'),
    rule('air-knows-no-room-below', '^packages/core/src/air', '^packages/core/src/(evaporation|reducer|mix|gun|film|safety)'),
    rule('mix-knows-no-film', '^packages/core/src/(reducer|mix)', '^packages/core/src/(film|safety)'),
    { name: 'no-orphans', severity: 'error', from: { orphan: true, path: '^packages/[^/]+/src', pathNot: '\\.d\\.ts$' }, to: {} },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(dist|test)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.lint.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.json'],
    },
  },
};
