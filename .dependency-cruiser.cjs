/** The doors of docs/architecture.md: core ← contracts ← study, workers ← server ← ui, palette, materials, screens ← app. */
const outside = (room, ...allowed) => ({
  name: `${room}-reaches-only-${allowed.join('-') || 'itself'}`,
  severity: 'error',
  from: { path: `^src/${room}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: [room, ...allowed].map((name) => `^src/${name}/`) },
});

module.exports = {
  forbidden: [
    outside('core'),
    outside('contracts', 'core'),
    outside('study', 'core', 'contracts'),
    outside('workers', 'core', 'contracts'),
    outside('server', 'core', 'contracts', 'study', 'workers'),
    outside('ui', 'core', 'contracts', 'workers'),
    outside('palette', 'core', 'contracts', 'study', 'ui'),
    outside('materials', 'core', 'contracts', 'study', 'ui'),
    outside('screens', 'core', 'contracts', 'study', 'workers', 'ui', 'palette', 'materials'),
    {
      name: 'core-is-pure',
      comment:
        'Numbers in, numbers out: of packages, only those that read text, name colours, trace contours and schedule practice.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: 'test(ing)?\\.ts$' },
      to: {
        path: ['^node_modules/'],
        pathNot: [
          '^node_modules/(zod|jsonc-parser|papaparse|@types/papaparse|saxes|css-tree|color-name|@types/color-name|d3-contour|@types/d3-contour|ts-fsrs)/',
        ],
      },
    },
    {
      name: 'core-knows-no-node',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'screens-do-not-know-each-other',
      severity: 'error',
      from: { path: '^src/screens/([^/]+)/' },
      to: { path: '^src/screens/([^/]+)/', pathNot: '^src/screens/$1/' },
    },
    {
      name: 'steps-do-not-know-each-other',
      severity: 'error',
      from: { path: '^src/screens/desk/steps/([^/]+)/' },
      to: { path: '^src/screens/desk/steps/([^/]+)/', pathNot: '^src/screens/desk/steps/$1/' },
    },
    {
      name: 'the-desk-knows-no-step',
      comment: 'Only the list of steps names them.',
      severity: 'error',
      from: {
        path: '^src/screens/desk/',
        pathNot: ['^src/screens/desk/steps/', '^src/screens/desk/steps\\.ts$', '\\.test\\.tsx?$'],
      },
      to: { path: '^src/screens/desk/steps/' },
    },
    { name: 'no-circles', severity: 'error', from: { path: '^src/' }, to: { circular: true } },
    { name: 'nothing-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default', 'types'],
    },
  },
};
