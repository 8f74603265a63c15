// @ts-check
import importX, { createNodeResolver } from 'eslint-plugin-import-x'
import tseslint from 'typescript-eslint'
import withNuxt from './.nuxt/eslint.config.mjs'
import house from './scripts/lint/house.mjs'

// The framework's config composer calls this at run time; Node 20 does not have it yet.
Object.groupBy ??= (items, keyOf) => {
  const groups = Object.create(null)
  let at = 0
  for (const item of items) (groups[keyOf(item, at++)] ??= []).push(item)
  return groups
}

/*
 * Who may import whom. Dependencies point one way: app and server → shared → core.
 * The last block that matches a file wins for one rule, so every block carries its folder's full list.
 */
const NO_SERVER = {
  regex: '(^|/)server/|^h3$|^drizzle-orm|^postgres$',
  message: 'The application asks the server over its routes only.',
}
const NO_APP = {
  regex: '^(vue|vue-router|pinia|#app|nuxt|@vueuse)|(^|/)app/|^~/',
  message: 'Only app/ knows the screens.',
}
const NO_H3 = {
  regex: '^h3$|^#imports$|^nitropack',
  message: 'Services and the database know nothing of requests; routes do.',
}

/** @param {readonly { regex: string, message: string }[]} patterns */
const imports = (...patterns) => /** @type {const} */ (['error', { patterns }])

const CLOCK_AND_HOST = [
  'Date',
  'window',
  'document',
  'process',
  'console',
  'setTimeout',
  'setInterval',
  'fetch',
  'performance',
  'crypto',
].map(name => ({
  name,
  message: 'core/ knows no clock, chance or host: hand it in as an argument.',
}))

export default withNuxt(
  {
    ignores: [
      '.output/**',
      '.nuxt/**',
      '.data/**',
      'test-results/**',
      'playwright-report/**',
      'server/db/migrations/**',
    ],
  },
  {
    plugins: { 'import-x': importX, house },
    settings: {
      'import-x/resolver-next': [
        createNodeResolver({ extensions: ['.ts', '.mjs', '.vue'], conditionNames: ['default'] }),
      ],
      'import-x/extensions': ['.ts', '.vue', '.mjs'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts'] },
    },
    rules: {
      complexity: ['warn', { max: 20, variant: 'modified' }],
      // What is longer says why, or is counted in eslint-suppressions.json until it is split.
      'max-lines-per-function': ['error', { max: 40, skipBlankLines: true, skipComments: true }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'house/short-templates': 'error',
      'house/faces': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      'vue/max-attributes-per-line': 'off',
      'vue/html-self-closing': 'off',
      'vue/multi-word-component-names': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/testing/**'],
    languageOptions: {
      parser: tseslint.parser,
      parserOptions: { project: './core/tsconfig.json', tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      'house/chapters': 'error',
      'no-restricted-globals': ['error', ...CLOCK_AND_HOST],
      'no-restricted-properties': [
        'error',
        {
          object: 'Math',
          property: 'random',
          message: 'Chance is an argument: random: () => number.',
        },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportDefaultDeclaration', message: 'core/ has named exports only.' },
        { selector: 'TSEnumDeclaration', message: 'Use an `as const` list and its union type.' },
        { selector: 'ClassDeclaration', message: 'core/ is functions and plain data.' },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  { files: ['core/base/plainDate.ts'], rules: { 'no-restricted-globals': 'off' } },
  { files: ['core/base/invariant.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['shared/**/*.ts'],
    rules: { 'no-restricted-imports': imports(NO_SERVER, NO_APP) },
  },
  {
    // One clock (server/clock.ts), so that tests and the demo can live on any day.
    files: ['server/**/*.ts', 'e2e/**/*.ts', 'scripts/**/*.ts'],
    ignores: ['server/clock.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'Ask currentTime() or serverToday() of server/clock.ts: it can be another day.',
        },
      ],
    },
  },
  {
    files: ['server/**/*.ts'],
    ignores: ['server/testing/**'],
    rules: { 'no-restricted-imports': imports(NO_APP) },
  },
  {
    files: ['server/services/**/*.ts', 'server/db/**/*.ts'],
    rules: { 'no-restricted-imports': imports(NO_APP, NO_H3) },
  },
  {
    files: ['server/api/**/*.ts'],
    rules: {
      'no-restricted-imports': imports(NO_APP, {
        regex: 'drizzle|(^|/)db/',
        message: 'Routes call services; services reach the database.',
      }),
    },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: {
      'no-restricted-imports': imports(NO_SERVER),
    },
  },
  { files: ['app/pages/**/*.vue'], rules: { 'house/only-routes': 'error' } },
  {
    // A composable, or a store, is a room with its verbs: each verb is short, together they may be more.
    files: ['app/**/use*.ts', 'app/stores/*.ts'],
    rules: {
      'max-lines-per-function': ['error', { max: 115, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    // Components show and ask. What they need computed comes from a composable, a store or core/words.
    files: ['app/{screens,shell,ui}/**/*.vue'],
    // The root of a screen hands core's lists of choices to its parts.
    ignores: ['app/screens/*/*Screen.vue'],
    rules: {
      'no-restricted-imports': 'off',
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            NO_SERVER,
            {
              regex: '^#core/(?!words$)',
              allowTypeImports: true,
              message:
                'Components take types and #core/words only; compute in a composable or the core.',
            },
          ],
        },
      ],
    },
  },
  {
    // Tests reach for core/testing and break documents on purpose.
    files: ['**/*.test.ts', 'e2e/**/*.ts', 'core/testing/**/*.ts'],
    rules: {
      'no-restricted-imports': 'off',
      'house/faces': 'off',
      'max-lines-per-function': 'off',
      'max-lines': 'off',
      '@typescript-eslint/no-explicit-any': 'off',
    },
  },
)
