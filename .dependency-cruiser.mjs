/** Which room may look into which: every arrow that is not in this table is refused. */
const CORE_ROOMS = {
  pitch: [],
  pattern: ['pitch'],
  voice: ['pitch'],
  listening: ['pitch', 'pattern', 'voice'],
  limits: ['pitch', 'pattern', 'voice'],
  ladder: ['pitch', 'pattern', 'voice', 'limits'],
  song: ['pitch', 'pattern', 'voice', 'limits'],
  shelf: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song'],
  still: ['shelf'],
  day: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'shelf'],
  routine: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song', 'shelf', 'still', 'day'],
  fit: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song', 'shelf', 'day', 'routine'],
  edit: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song', 'shelf', 'day', 'routine', 'fit'],
  past: ['voice', 'shelf'],
  advice: ['voice', 'limits', 'shelf', 'day', 'routine', 'past'],
  review: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song', 'shelf', 'day', 'routine', 'fit', 'edit', 'past'],
  run: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song', 'shelf', 'still', 'day', 'routine', 'fit', 'past'],
  draft: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song', 'shelf', 'day', 'routine', 'fit', 'past', 'review'],
  sound: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song', 'shelf', 'still', 'day', 'routine', 'run'],
  home: ['pitch', 'pattern', 'voice', 'shelf', 'routine', 'run', 'sound'],
  formats: ['pitch', 'pattern', 'voice', 'limits', 'ladder', 'song', 'shelf', 'day', 'routine'],
  days: ['voice', 'past'],
  track: ['pitch', 'pattern', 'voice', 'run', 'sound', 'formats'],
};

const SERVER_FEATURES = [
  'studios',
  'studio-file',
  'backups',
  'students',
  'range-checks',
  'gate',
  'exercises',
  'songs',
  'routines',
  'mutes',
  'advice',
  'templates',
  'groups',
  'runs',
  'home',
  'lessons',
  'demo',
  'health',
];
const WEB_LAYERS = {
  theme: [],
  text: [],
  api: ['device', 'text'],
  ui: ['api', 'theme', 'text'],
  sound: [],
  listening: [],
  flight: ['ui', 'text'],
  device: [],
  runs: ['api', 'device', 'text'],
  shell: ['runs', 'ui', 'api', 'device', 'text'],
  places: ['shell', 'runs', 'device', 'flight', 'listening', 'sound', 'workers', 'ui', 'api', 'text'],
  workers: ['text'],
  routes: ['places', 'shell', 'ui'],
};

const coreRules = Object.entries(CORE_ROOMS).map(([room, allowed]) => ({
  name: `core-${room}`,
  severity: 'error',
  from: { path: `^core/src/${room}/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: '^core/src/',
    pathNot: [
      `^core/src/${room}/`,
      '^core/src/(chance|errors|statement|faults|clock-time|fields\\.schema)\\.ts$',
      ...allowed.map((name) => `^core/src/${name}/index\\.ts$`),
    ],
  },
}));

const featureRules = SERVER_FEATURES.map((feature) => ({
  name: `server-${feature}-by-its-index`,
  severity: 'error',
  from: { path: '^server/src/', pathNot: `^server/src/${feature}/` },
  to: { path: `^server/src/${feature}/`, pathNot: `^server/src/${feature}/index\\.ts$` },
}));

const webRules = Object.entries(WEB_LAYERS).map(([layer, allowed]) => ({
  name: `web-${layer}`,
  severity: 'error',
  from: { path: `^web/src/${layer}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^web/src/', pathNot: [`^web/src/${layer}/`, ...allowed.map((name) => `^web/src/${name}/`)] },
}));

export default {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-knows-nobody',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^(server|web|e2e|bench)/' },
    },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/src' }, to: { path: '^web/' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/src' }, to: { path: '^server/' } },
    {
      name: 'core-by-its-index',
      severity: 'error',
      from: { path: '^(server|web)/' },
      to: { path: '^core/src/', pathNot: '^core/src/index\\.ts$' },
    },
    {
      name: 'core-has-no-platform',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    ...coreRules,
    ...featureRules,
    ...webRules,
  ],
  required: [
    {
      name: 'looked-at-core',
      severity: 'error',
      module: { path: '^core/src/routine/lay-step\\.ts$' },
      to: { path: '^core/src/limits/index\\.ts$' },
    },
    {
      name: 'looked-at-server',
      severity: 'error',
      module: { path: '^server/src/routines/routines\\.service\\.ts$' },
      to: { path: '^server/src/students/index\\.ts$' },
    },
    {
      name: 'looked-at-web',
      severity: 'error',
      module: { path: '^web/src/places/bench/bench\\.tsx$' },
      to: { path: '^web/src/flight/flight\\.tsx$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.gen\\.ts$|/dist/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['soft-lark-source', 'import', 'types', 'default'],
    },
  },
};
