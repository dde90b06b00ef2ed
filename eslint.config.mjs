import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

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
      'no-restricted-globals': ['error', 'document', 'window', 'performance', 'process', 'fetch'],
    },
  },
  {
    files: ['app/**'],
    rules: {
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
