import vue from 'eslint-plugin-vue'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import importX from 'eslint-plugin-import-x'
import tseslint from 'typescript-eslint'
import { ROOMS } from './rooms.mjs'

const outside = [
  'vue',
  'nuxt',
  '#imports',
  '#app',
  'pinia',
  'h3',
  'better-sqlite3',
  'konva',
  'echarts',
  'three',
]

/**
 * A promise that nobody waits for hides its failure: it is awaited, or left on purpose with `void`. The types that
 * this needs take minutes for everything: `npm run check` asks for what a change touches.
 */
const typed = {
  files: ['app/**/*.ts', 'app/**/*.vue', 'core/**/*.ts', 'server/**/*.ts'],
  languageOptions: {
    parserOptions: {
      project: ['./.nuxt/tsconfig.app.json', './.nuxt/tsconfig.server.json', './tsconfig.core.json'],
      extraFileExtensions: ['.vue'],
    },
  },
  rules: { '@typescript-eslint/no-floating-promises': 'error' },
}

/** Models that are kept as they are inside: tables of a spline and a height field, the drape of a sheet. */
const LONG_ON_PURPOSE = ['core/skin/surface/**', 'core/skin/lift.ts', 'core/skin/relief.ts']

/**
 * What stands behind a room is closed to it; the app meets the server only through its routes, and may share
 * its types.
 */
const zones = ROOMS.flatMap(({ path }, i) => {
  const from = ROOMS.slice(i + 1).map(room => `./${room.path}`)
  return from.length
    ? [
        {
          target: `./${path}`,
          from,
          message: `Nothing in ${path} may use what stands behind it: see rooms.mjs.`,
        },
      ]
    : []
})

export default tseslint.config(
  {
    ignores: ['.nuxt', '.output', 'node_modules', 'data', 'test-results', 'playwright-report', '**/*.tmp.*'],
  },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/essential'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  {
    rules: {
      'vue/multi-word-component-names': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'eqeqeq': 'error',
      'no-var': 'error',
      // One declaration a statement; several `let`s may be one idea, such as the four sides of a box.
      'one-var': ['error', { const: 'never' }],
      'prefer-const': ['error', { destructuring: 'all' }],
    },
  },
  ...(process.env.LINT_TYPES ? [typed] : []),
  {
    files: ['**/*.ts', '**/*.vue'],
    // What Vue files import is looked at where they stand.
    ignores: ['tests/components/**'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver-next': [
        createTypeScriptImportResolver({ project: ['tsconfig.core.json', 'tsconfig.json'] }),
      ],
      'import-x/extensions': ['.ts', '.vue'],
    },
    rules: {
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      'import-x/no-restricted-paths': ['error', { zones }],
    },
  },
  {
    // Long functions and files hide ideas. Outside are the drawings and looks of the demo, which are data,
    // and tests, whose blocks only gather.
    files: ['app/**', 'core/**', 'server/**', 'scripts/**'],
    ignores: LONG_ON_PURPOSE,
    rules: {
      'max-lines': ['error', { max: 300 }],
      'max-lines-per-function': ['error', { max: 60, skipComments: true }],
    },
  },
  { files: ['app/pages/**'], rules: { 'vue/multi-word-component-names': 'off' } },
  {
    // The core knows nothing of pages, stores, servers, the clock or chance.
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { paths: outside, patterns: ['**/app/**', '**/server/**', '~*', 'node:*'] },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
      'no-restricted-globals': [
        'error',
        'document',
        'window',
        'performance',
        'process',
        'fetch',
        // It throws for what is being edited: `copied` does not.
        'structuredClone',
      ],
    },
  },
  {
    files: ['app/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        { name: 'structuredClone', message: 'It throws for drafts and reactive objects: use `copied`.' },
      ],
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/server/**'],
              allowTypeImports: true,
              message: 'The app meets the server only through its routes.',
            },
          ],
        },
      ],
    },
  },
)
