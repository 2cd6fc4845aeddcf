/**
 * The fences of core, server and app (docs/architecture.md), at every level of every room: who may lean on whom, one face a room, no
 * circles, also none of types, and nothing of the tests in what ships.
 */

/** Each room of the core with the rooms that it may lean on. */
const LEANS_ON = {
  quantity: [],
  words: ['quantity'],
  vehicle: ['words'],
  catalogue: ['quantity', 'vehicle'],
  // What stands on the card of a unit, and what follows from it.
  card: ['quantity', 'words', 'catalogue'],
  // The public schedules of defects.
  schedules: ['catalogue'],
  // What is asked of each vehicle. Nothing that ships leans on it: whoever needs a module is given it.
  content: ['quantity', 'vehicle', 'catalogue', 'card', 'schedules'],
  'depot-content': ['quantity', 'catalogue'],
  rig: ['words', 'quantity', 'vehicle', 'catalogue', 'card', 'depot-content'],
  fields: ['catalogue', 'rig'],
  planning: ['quantity', 'vehicle', 'catalogue', 'rig'],
  planner: ['words', 'quantity', 'vehicle', 'catalogue', 'rig', 'planning'],
  // A second telling of what may never be: it reads neither the table nor anything that obeys it.
  judge: ['catalogue', 'rig'],
  procedure: ['quantity', 'catalogue', 'rig'],
  measure: ['quantity', 'catalogue', 'rig'],
  grading: ['quantity', 'vehicle', 'catalogue', 'schedules', 'rig', 'measure', 'planning'],
  inspection: [
    'quantity',
    'vehicle',
    'catalogue',
    'rig',
    'fields',
    'measure',
    'planning',
    'grading',
  ],
  repair: ['quantity', 'catalogue', 'rig', 'measure', 'grading', 'inspection'],
  report: ['quantity', 'catalogue', 'rig', 'measure', 'grading', 'inspection', 'repair'],
  trend: ['quantity', 'catalogue', 'rig', 'measure', 'grading', 'inspection'],
  seal: ['report', 'inspection'],
  simulate: ['catalogue'],
  standing: ['catalogue', 'depot-content', 'rig', 'grading', 'inspection', 'repair'],
  // What server and app say to each other.
  wire: [
    'quantity',
    'catalogue',
    'depot-content',
    'rig',
    'grading',
    'inspection',
    'repair',
    'seal',
    'trend',
  ],
  validation: [
    'quantity',
    'vehicle',
    'catalogue',
    'card',
    'depot-content',
    'fields',
    'planning',
    'grading',
    'inspection',
  ],
  walking: [
    'quantity',
    'vehicle',
    'catalogue',
    'rig',
    'planning',
    'planner',
    'grading',
    'inspection',
  ],
};

const OF_TESTS = '\\.test\\.tsx?$|/testing/';

const fence = (name, comment, from, to) => ({ name, comment, severity: 'error', from, to });

module.exports = {
  forbidden: [
    fence(
      'circle',
      'Two files that need each other are one file, or three.',
      {},
      { circular: true },
    ),
    fence(
      'core-alone',
      'The core knows nothing of server and app.',
      { path: '^core/' },
      { path: '^(server|app|e2e|scripts|bench)/' },
    ),
    fence(
      'server-without-app',
      'The server knows nothing of the app.',
      { path: '^server/' },
      { path: '^(app|e2e)/' },
    ),
    ...Object.entries(LEANS_ON).map(([room, leans]) =>
      fence(
        `room-${room}`,
        `core/${room} leans only on ${leans.join(', ') || 'nothing'}.`,
        { path: `^core/${room}/`, pathNot: OF_TESTS },
        { path: '^core/', pathNot: `^core/(${[room, ...leans].join('|')})/` },
      ),
    ),
    fence(
      'unknown-room',
      'A new room of the core stands in this list.',
      {
        path: '^core/',
        pathNot: `^core/(${[...Object.keys(LEANS_ON), 'testing'].join('|')})/|^core/[^/]+$`,
      },
      {},
    ),
    fence(
      'face',
      'A room has one face; the rest of it is its own.',
      { path: '^core/([^/]+)/', pathNot: OF_TESTS },
      { path: '^core/[^/]+/.+', pathNot: '^core/$1/|^core/[^/]+/index\\.ts$' },
    ),
    fence(
      'face-of-core',
      'Server and bench see the faces of the core alone.',
      { path: '^(server|bench)/' },
      { path: '^core/[^/]+/.+', pathNot: '^core/[^/]+/index\\.ts$' },
    ),
    fence(
      'store-is-the-bottom',
      'The store leans on nothing else of the server.',
      { path: '^server/store/', pathNot: OF_TESTS },
      { path: '^server/(http|intake|projection|report|feeds|jobs|demo|heavy)/' },
    ),
    fence(
      'http-is-the-top',
      'HTTP words stay in http.',
      { path: '^server/(store|intake|projection|report|feeds|jobs|heavy)/', pathNot: OF_TESTS },
      { path: '^server/http/|node_modules/express' },
    ),
    fence(
      'test-only',
      'What ships has nothing of the tests.',
      { path: '^(core|server|app)/', pathNot: OF_TESTS },
      { path: '/testing/' },
    ),
    fence(
      'app-without-server',
      'The app speaks to the server over the wire alone.',
      { path: '^app/' },
      { path: '^(server|e2e|scripts|bench)/' },
    ),
    fence(
      'face-of-core-for-app',
      'The app sees the faces of the core alone.',
      { path: '^app/' },
      { path: '^core/[^/]+/.+', pathNot: '^core/[^/]+/index\\.ts$' },
    ),
    fence(
      'content-when-needed',
      'What is asked of a vehicle comes one module at a time (app/src/state/catalogue.ts), never with the first screen.',
      { path: '^app/', pathNot: OF_TESTS },
      { path: '^core/(content|testing)/' },
    ),
    fence(
      'feature-apart',
      'A feature knows no other one; what two need moves to state, design, drawing or core.',
      { path: '^app/src/features/([^/]+)/' },
      { path: '^app/src/features/', pathNot: '^app/src/features/$1/' },
    ),
    fence(
      'nothing-back-to-features',
      'What features share knows none of them.',
      { path: '^app/src/(design|drawing|signature|state|i18n|workers)/' },
      { path: '^app/(src/(features|later)|app)/' },
    ),
    fence(
      'design-is-the-bottom',
      'Tokens and primitives know nothing of a walk.',
      { path: '^app/src/(design|i18n)/', pathNot: OF_TESTS },
      { path: '^app/src/(drawing|signature|state|workers)/' },
    ),
    fence(
      'state-without-drawing',
      'What is known does not know how it looks.',
      { path: '^app/src/state/', pathNot: OF_TESTS },
      { path: '^app/src/(design|drawing|signature)/' },
    ),
    fence(
      'face-in-app',
      'A room of the app has one face; state has a second one for what only a walk needs.',
      { path: '^app/src/([^/]+)/', pathNot: OF_TESTS },
      {
        path: '^app/src/(design|drawing|signature|state)/.+',
        pathNot: '^app/src/$1/|^app/src/[^/]+/index\\.tsx?$|^app/src/state/walk/index\\.ts$',
      },
    ),
    fence(
      'routes-compose',
      'A route composes features, and knows nothing of their insides.',
      { path: '^app/app/' },
      { path: '^app/src/[^/]+/.+', pathNot: '/index\\.tsx?$' },
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: require('node:path').join(__dirname, 'app', 'tsconfig.json') },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.mts', '.mjs', '.js', '.json'],
      conditionNames: ['import', 'require', 'node', 'default'],
      exportsFields: ['exports'],
    },
  },
};
