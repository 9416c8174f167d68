import js from '@eslint/js'
import boundaries from 'eslint-plugin-boundaries'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

const may = (from, ...to) => ({
  from: { element: { type: from } },
  allow: { to: { element: { types: { anyOf: to } } } },
})

export default ts.config(
  { ignores: ['vendor/', 'public/', 'var/', 'node_modules/', 'front/src/api/contract.d.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
    rules: { 'vue/max-len': ['error', { code: 120, template: 120 }] },
  },
  {
    files: ['**/*.ts', '**/*.js'],
    rules: { 'max-len': ['error', { code: 120 }] },
  },
  {
    // The doors of the front: a view imports no other view, and what serves all imports nothing that is built on it.
    files: ['front/src/**/*.ts', 'front/src/**/*.vue'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { typescript: { project: './tsconfig.json' } },
      'boundaries/elements': [
        { type: 'view', pattern: 'front/src/views/*' },
        { type: 'parts', pattern: 'front/src/parts' },
        { type: 'state', pattern: 'front/src/state' },
        { type: 'api', pattern: 'front/src/api' },
        { type: 'units', pattern: 'front/src/units' },
        { type: 'ways', pattern: 'front/src/ways' },
        { type: 'words', pattern: 'front/src/words' },
        { type: 'theme', pattern: 'front/src/theme' },
        { type: 'start', pattern: 'front/src' },
      ],
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [
            may('start', 'view', 'parts', 'state', 'api', 'theme', 'ways', 'words'),
            may('view', 'parts', 'state', 'api', 'units', 'theme', 'ways', 'words'),
            may('parts', 'state', 'api', 'units', 'theme', 'ways', 'words'),
            may('state', 'api', 'theme'),
            may('units', 'api'),
            { from: { element: { type: '*' } }, allow: { to: { module: { origin: 'external' } } } },
            { from: { element: { type: '*' } }, allow: { to: { module: { origin: 'core' } } } },
          ],
        },
      ],
    },
  },
  {
    // The compiler checks names and types; these rules would only repeat it or argue about line breaks.
    rules: {
      'no-undef': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/attributes-order': 'off',
    },
  },
)
