/** Imports point one way: core ◀ formats, simulators ◀ cli, web; inside the core units ◀ geometry ◀ stages ◀ compute. */
const stages = ['ground', 'setout', 'levels', 'dig', 'water', 'base', 'pour'];
/** A stage may read an earlier stage's result, never a later one's. Tests may look anywhere. */
const notLater = stages.slice(0, -1).map((stage, i) => ({
  name: `${stage}-not-later`,
  severity: 'error',
  from: { path: `^core/src/${stage}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${stages.slice(i + 1).join('|')})/` },
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
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
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
    outside('geometry-on-units', '^core/src/geometry/', '^core/src/(?!geometry/|units/)'),
    ...notLater,
    {
      name: 'no-orphans',
      severity: 'error',
      from: { orphan: true, pathNot: '\\.(test|spec|d)\\.ts$|\\.worker\\.ts$|config\\.ts$|/routes/' },
      to: {},
    },
    {
      name: 'tests-stay-tests',
      severity: 'error',
      from: { pathNot: '\\.(test|spec)\\.tsx?$|/e2e/' },
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
