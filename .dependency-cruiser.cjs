/** Imports point one way: core ◀ formats, simulators ◀ cli, web; inside the core folder after folder. */
/** Folders of the core, each of which reads those before it and no other. Tests may look anywhere. */
const folders = [
  'units',
  'time',
  'random',
  'results',
  'geometry',
  'catalogue',
  'plan',
  'soil-tests',
  'log',
  'placement',
  'rates',
  'ground',
  'setout',
  'levels',
  'as-dug',
  'dig',
  'water',
  'base',
  'pour',
  'placing',
  'takeoff',
  'holds',
  'cautions',
  'figures',
  'validation',
  'compute/pipeline',
  'compute/views',
  'compute/what-if',
  'compute/night',
  'compute/days',
  'proofs',
];
const notLater = folders.slice(0, -1).map((folder, i) => ({
  name: `core-${folder}-reads-earlier-only`,
  severity: 'error',
  from: { path: `^core/src/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${folders.slice(i + 1).join('|')})/` },
}));
const outside = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.ts$|/testing\\.ts$' },
  to: { path: to },
});

module.exports = {
  forbidden: [
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    outside(
      'core-stands-alone',
      '^core/',
      '^(formats|simulators|cli|web|scripts)/|^node:|^(react|react-dom|react-router|pg|drizzle-orm|d3-[a-z]+)(/|$)|node_modules/(react|pg|drizzle-orm|d3-)',
    ),
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$|/testing\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    outside('formats-on-core-only', '^(formats|simulators)/', '^(cli|web|scripts)/'),
    outside('cli-not-web', '^cli/', '^(web|scripts)/'),
    outside('units-first', '^core/src/units/', '^core/src/(?!units/)'),
    ...notLater,
    // The page: what is known, how it is drawn, the stages, the desk that shows them. Nothing goes back.
    outside('state-knows-no-desk', '^web/app/state/', '^web/app/(drawing|stages|desk|board)/'),
    outside('drawing-knows-no-stage', '^web/app/drawing/', '^web/app/(stages|desk|board)/'),
    outside('hole-knows-no-desk', '^web/app/hole/', '^web/app/(desk|stages|board)/'),
    outside('stages-know-no-desk', '^web/app/stages/', '^web/app/desk/'),
    outside('plan-is-handed-its-layers', '^web/app/desk/plan/', '^web/app/stages/'),
    {
      name: 'no-orphans',
      severity: 'error',
      from: { orphan: true, pathNot: '\\.(test|spec|d)\\.ts$|\\.worker\\.ts$|config\\.ts$|/routes/' },
      to: {},
    },
    {
      name: 'tests-stay-tests',
      severity: 'error',
      from: { pathNot: '\\.(test|spec)\\.tsx?$|/e2e/|/testing\\.ts$' },
      to: { path: '\\.(test|spec)\\.tsx?$|/testing\\.ts$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.react-router|/build/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};
