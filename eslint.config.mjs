import importX from 'eslint-plugin-import-x'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

/** What each topic of the core may use beside itself; job-plan, station, shop and the list of questions sit on top. */
const BASE = ['ask', 'quantity', 'metal', 'safety', 'process']
const TOPICS = {
  ask: ['quantity'],
  quantity: ['ask'],
  safety: ['ask'],
  metal: ['ask', 'quantity', 'safety'],
  crack: BASE,
  day: BASE,
  // What is said in another language: texts in, texts out.
  words: [],
  // Pictures that are measured and read; a groove's template is cut along what was traced in one.
  photo: [...BASE, 'words'],
  // A groove is filled by an arc's beads.
  groove: [...BASE, 'arc', 'photo', 'words'],
  solid: BASE,
  // Arithmetic that is compiled beforehand, and how it is started.
  kernel: [],
  heat: [...BASE, 'solid', 'kernel'],
  // How a bead pulls a part about: the part in cells, its faces as they are measured, the arc that laid it.
  warp: [...BASE, 'solid', 'flat', 'arc', 'heat', 'kernel'],
  arc: BASE,
  // A process owns all that is its own; a braze's rod is named by its table.
  process: ['braze'],
  braze: [...BASE, 'heat'],
  flame: [...BASE, 'heat'],
  // What a coating afterwards does goes by heat and by a brazed joint's rod.
  face: [...BASE, 'heat', 'braze'],
  flat: BASE,
  fit: BASE,
  leak: BASE,
  // Warming sets the machine's reach against the torch's.
  warm: [...BASE, 'arc', 'flame', 'heat', 'solid'],
  // The call weighs the bead's cracking and the machine's reach, so it sits on these two.
  call: [...BASE, 'crack', 'arc', 'braze', 'warm'],
  // A stand-in knows physical quantities; that its gauge loses what the leak question finds is a test of both.
  instrument: ['quantity', 'leak'],
  // A rebuilt boss is weighed by what its filler deposits and by the slug that it may take.
  thread: [...BASE, 'call', 'fit', 'words'],
  // The puddle's rules go by the words a job's log is kept in.
  puddle: ['arc', 'kernel', ...BASE, 'job'],
  // A job's schema takes the words of the calls and the set-ups that are stored in it from their own tables.
  job: [
    ...BASE,
    'arc',
    'call',
    'groove',
    'heat',
    'solid',
    'instrument',
    'fit',
    'face',
    'flat',
    'thread',
    'field',
    'part',
    'mend',
    'lay',
    'warm',
    'words',
  ],
  field: BASE,
  // Screens pass jobs to each other as files do.
  screens: [...BASE, 'job', 'words'],
  // The part on the bench, and a place being mended on it: sums and tables of the topics, no job.
  part: [...BASE, 'field', 'call', 'solid'],
  mend: [...BASE, 'field', 'part', 'groove', 'thread', 'fit', 'face', 'arc', 'call'],
  lay: [...BASE, 'mend', 'arc', 'call', 'groove', 'braze'],
}
const ALL = [...Object.keys(TOPICS), 'job-plan', 'station', 'shop']

const topicZones = Object.entries(TOPICS).map(([topic, may]) => ({
  target: `./core/${topic}`,
  from: ALL.filter(other => other !== topic && !may.includes(other)).map(other => `./core/${other}`),
  message: `core/${topic} may use ${may.join(', ')}; what needs more sits on top, in job-plan, station or shop.`,
}))

const NO_USUAL_BESIDE_ITS_FIELD = {
  selector: "LogicalExpression[operator='??'][left.property.name='value'][right.type='Literal'][right.raw=/[1-9]/]",
  message: 'What an empty reading counts as is declared with its field (core/job/fields): take it by said().',
}
/** A process and a kind of mend own what is theirs: elsewhere they are asked, not told apart by their names. */
const NO_PROCESS_BY_NAME = {
  selector: 'Literal[value=/^(ac-tig|mig-pulse|mig-spool|zinc-rod-braze|al-si-braze|oxy-fuel)$/]',
  message: 'A process is named in core/process alone: give it a property there, and ask for that.',
}
const NO_KIND_BY_NAME = {
  selector:
    "BinaryExpression[operator=/^[!=]==$/][left.object.name=/^(mend|stored)$/][left.property.name='kind'] > Literal",
  message: 'A kind of mend is named in core/mend alone: give it a trait there, and ask for that.',
}

const zones = [
  {
    target: './core',
    from: ['./app', './server', './cli', './demo', './e2e', './tools', './bench'],
    message: 'The core knows nothing of what uses it.',
  },
  {
    target: './app',
    from: ['./server', './cli', './e2e', './tools', './bench'],
    message: 'The interface uses the core only.',
  },
  {
    target: './app/composables',
    from: ['./app/bench', './app/stations', './app/pages'],
    message: 'pages → components → composables → core.',
  },
  { target: './app/bench', from: ['./app/stations', './app/pages'], message: 'What stations share knows no station.' },
  { target: './app/stations', from: ['./app/pages'], message: 'pages → components → composables → core.' },
  { target: './server', from: ['./app', './cli', './e2e', './bench'], message: 'The server uses the core only.' },
  { target: './cli', from: ['./app', './server', './e2e', './bench'], message: 'The command line uses the core only.' },
  ...topicZones,
]

export default tseslint.config(
  {
    ignores: [
      '.nuxt/**',
      '.output/**',
      'node_modules/**',
      'docs/**',
      'test-results/**',
      'playwright-report/**',
      'core/heat/field/assembly/**',
      'core/puddle/pool/assembly/**',
      'core/warp/assembly/**',
    ],
  },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.{ts,mts,mjs,vue}'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver-next': [
        createTypeScriptImportResolver({ project: ['./.nuxt/tsconfig.app.json', './.nuxt/tsconfig.server.json'] }),
      ],
    },
    rules: {
      'import-x/no-restricted-paths': ['error', { zones }],
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      'no-restricted-syntax': ['error', NO_USUAL_BESIDE_ITS_FIELD, NO_PROCESS_BY_NAME, NO_KIND_BY_NAME],
      // Sentences stay whole, so that they can be searched for.
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true },
      ],
      'no-console': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    // Their own folders; made-up jobs, kits and examples, which are data; files of versions that told kinds apart.
    files: [
      '**/*.{test,fixture}.ts',
      '{e2e,demo,bench,tools}/**',
      'core/{process,mend}/**',
      'core/**/question.ts',
      'core/job/*.ts',
      'core/job-plan/starter-kit.ts',
    ],
    rules: { 'no-restricted-syntax': ['error', NO_USUAL_BESIDE_ITS_FIELD] },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/ask/stopwatch.ts', 'core/quantity/pdf-faces.fixture.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'localStorage',
        'performance',
        'setTimeout',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core has no randomness of its own.' },
        { object: 'Date', property: 'now', message: 'The core has no clock.' },
      ],
      'no-restricted-imports': ['error', { patterns: ['vue', 'pinia', 'vuetify', 'dexie', 'node:*', '#imports'] }],
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: {
      parser: vueParser,
      parserOptions: { parser: tseslint.parser, extraFileExtensions: ['.vue'], sourceType: 'module' },
    },
    rules: {
      'max-len': 'off',
      // `translate="no"` on a template is read as it is compiled (tools/words).
      'vue/no-useless-template-attributes': 'off',
      'vue/max-len': [
        'error',
        {
          code: 120,
          template: 120,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreHTMLAttributeValues: true,
          ignoreHTMLTextContents: true,
        },
      ],
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/html-indent': 'off',
      'vue/require-default-prop': 'off',
      'vue/no-v-html': 'error',
      'vue/attributes-order': 'off',
      'vue/attribute-hyphenation': 'off',
    },
  },
)
