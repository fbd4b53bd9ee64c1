import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import vueParser from 'vue-eslint-parser'

/** What each room may not import. The direction is app, server -> shared -> core; demo, scripts and instruments stand outside. */
const closedTo = {
  core: ['app', 'server', 'shared', 'demo', 'scripts', 'instruments'],
  shared: ['app', 'server', 'demo', 'scripts', 'instruments'],
  server: ['app', 'demo', 'scripts', 'instruments'],
  app: ['server', 'demo', 'scripts', 'instruments'],
}

const boundaries = Object.entries(closedTo).map(([room, closed]) => ({
  files: [`${room}/**/*.{ts,vue}`],
  rules: {
    'no-restricted-imports': ['error', {
      patterns: [
        ...closed.map(other => ({ regex: `^(#|~~/|@@/|(\\.\\./)+)${other}(/|$)`, message: `${room}/ may not import from ${other}/.` })),
        ...(room === 'core' ? [{ regex: '^(vue|nuxt|#app|#imports|node:|drizzle|better-sqlite3|fs$|path$|crypto$)', message: 'core/ knows no framework, files, network or database.' }] : []),
      ],
    }],
  },
}))

export default tseslint.config(
  { ignores: ['node_modules/**', '.nuxt/**', '.output/**', '.cache/**', 'data/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, sourceType: 'module' } } },
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/require-default-prop': 'off',
      'vue/attributes-order': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'eqeqeq': ['error', 'always'],
      'max-lines': ['error', { max: 420, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'setTimeout', 'console'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }, { object: 'Date', property: 'now' }],
      'no-restricted-syntax': ['error', { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'core/ has no clock.' }],
    },
  },
  ...boundaries,
)
