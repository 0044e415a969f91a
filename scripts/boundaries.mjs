// The shape of the code: no import circle, no import against the order of the layers, no deep import past an index.ts.
import { cruise } from 'dependency-cruiser';
import { root } from './setup.mjs';

process.chdir(root);

/** Imports run upwards only: a folder may use those before it. */
const CORE = [
  'kit',
  'measure',
  'shape',
  'net',
  'cloth',
  'stock',
  'doll',
  'assembly',
  'cover',
  'piece',
  'room',
  'cut',
  'print',
  'pdf',
  'dxf',
  'plot',
  'set',
];
/** The rooms of a set, in the order of the data's way. */
const SET = ['document', 'fit', 'findings', 'derive', 'arranging', 'plans', 'pages', 'words', 'history'];
const SERVER = ['disk', 'store', 'shelf', 'reading', 'http', 'app'];
const WEB = ['engine', 'state', 'ui', 'views', 'app'];

const layers = (base, names) =>
  names.slice(0, -1).map((name, index) => ({
    name: `${base}: ${name} uses nothing below it`,
    severity: 'error',
    from: { path: `^${base}/${name}/`, pathNot: '\\.(test|testing)\\.ts$' },
    to: { path: `^${base}/(${names.slice(index + 1).join('|')})/` },
  }));

const never = (name, from, to) => ({ name, severity: 'error', from, to });

const forbidden = [
  never('no circle', {}, { circular: true }),
  ...layers('core/src', CORE),
  ...layers('core/src/set', SET),
  ...layers('server/src', SERVER),
  ...layers('web/src', WEB),
  never(
    'core folders meet at their index.ts',
    { path: '^core/src/([^/]+)/', pathNot: '\\.(test|testing)\\.ts$' },
    { path: '^core/src/[^/]+/(?!index\\.ts)', pathNot: '^core/src/$1/' },
  ),
  never('core is entered at an index.ts', { pathNot: '^core/|\\.(test|testing)\\.ts$' }, { path: '^core/src/', pathNot: '/index\\.ts$' }),
  never(
    'server folders meet at their index.ts',
    { path: '^server/src/([^/]+)/' },
    { path: '^server/src/[^/]+/(?!index\\.ts)', pathNot: '^server/src/$1/' },
  ),
  never(
    'web folders meet at their index.ts',
    { path: '^web/src/(engine|state|ui|app)/' },
    { path: '^web/src/(engine|state|ui|app)/(?!index\\.ts)', pathNot: '^web/src/$1/' },
  ),
  never(
    'views meet nobody but state and ui',
    { path: '^web/src/views/([^/]+)/' },
    { path: '^web/src/(views/(?!$1/)|app/|engine/|(state|ui)/(?!index\\.ts))' },
  ),
  never('views are entered at their index.ts', { path: '^web/src/app/' }, { path: '^web/src/views/[^/]+/(?!index\\.ts)' }),
  never('core knows neither Node nor browser', { path: '^core/src/', pathNot: '\\.(test|testing)\\.ts$' }, { dependencyTypes: ['core'] }),
  never('core knows no other workspace', { path: '^core/' }, { path: '^(server|web|cli|e2e|bench)/' }),
  never(
    'server, web and command line know each other not',
    { path: '^(server|web|cli)/' },
    { path: '^(server|web|cli)/', pathNot: '^$1/' },
  ),
  never('everything that is imported is there', {}, { couldNotResolve: true, pathNot: '\\?url$' }),
];

const LEAST = { 'core/src': 50, 'server/src': 12, 'cli/src': 3, 'web/src': 40 };

const { output } = await cruise(Object.keys(LEAST), {
  ruleSet: { forbidden },
  validate: true,
  doNotFollow: { path: 'node_modules' },
  tsPreCompilationDeps: true,
  enhancedResolveOptions: {
    exportsFields: ['exports'],
    conditionNames: ['import', 'types', 'default'],
    extensions: ['.ts', '.tsx', '.js', '.mjs', '.css'],
  },
});

const { summary, modules } = output;
for (const { rule, from, to } of summary.violations) process.stderr.write(`${rule.name}: ${from} → ${to}\n`);
// A cruiser that reads no TypeScript finds no fault; so it must have read at least this many of our own files.
for (const [folder, least] of Object.entries(LEAST)) {
  const seen = modules.filter(({ source }) => source.startsWith(`${folder}/`)).length;
  if (seen < least) {
    process.stderr.write(`Only ${seen} modules of ${folder} were checked; at least ${least} are there.\n`);
    process.exitCode = 1;
  }
}
if (summary.violations.length > 0) process.exitCode = 1;
process.stdout.write(
  `Boundaries: ${modules.length} modules, ${summary.totalDependenciesCruised} imports, ${summary.violations.length} violations.\n`,
);
