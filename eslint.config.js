import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import prettier from 'eslint-plugin-prettier/recommended'
import vueParser from 'vue-eslint-parser'

/** What each room may not import. The direction is app, server -> shared -> core; demo, scripts and instruments stand outside. */
const closedTo = {
  core: ['app', 'server', 'shared', 'demo', 'scripts', 'instruments'],
  shared: ['app', 'server', 'demo', 'scripts', 'instruments'],
  server: ['app', 'demo', 'scripts', 'instruments'],
  app: ['server', 'demo', 'scripts', 'instruments'],
}

/** Within chapters, another chapter is known by its index alone; the list of chapters, and the tests, see all of them. */
const byIndexAlone = { regex: '^\\.\\./(?!\\.\\.)[a-z]+/(?!index$)', message: 'A chapter imports another only by its index.' }
/** The kernel of a room is handed its chapters; it imports none. */
const knowsNoChapter = { regex: '^(\\.\\./)+chapters(/|$)|^~/chapters(/|$)', message: 'The kernel is handed the chapters; it imports none.' }
const restricted = (room, closed) =>
  closed.map(other => ({ regex: `^(#|~~/|@@/|(\\.\\./)+)${other}(/|$)`, message: `${room}/ may not import from ${other}/.` }))

const frameworks = {
  regex: '^(vue|nuxt|#app|#imports|node:|drizzle|better-sqlite3|fs$|path$|crypto$)',
  message: 'core/ knows no framework, files, network or database.',
}
const rule = patterns => ({ 'no-restricted-imports': ['error', { patterns }] })
const boundaries = Object.entries(closedTo).flatMap(([room, closed]) => [
  { files: [`${room}/**/*.{ts,vue}`], rules: rule([...restricted(room, closed), ...(room === 'core' ? [frameworks] : [])]) },
  ...(room === 'core'
    ? []
    : [
        { files: [`${room}/chapters/*/**/*.{ts,vue}`], ignores: ['**/*.test.ts'], rules: rule([...restricted(room, closed), byIndexAlone]) },
        { files: [`${room}/kernel/**/*.{ts,vue}`], ignores: ['**/*.test.ts'], rules: rule([...restricted(room, closed), knowsNoChapter]) },
      ]),
])

export default tseslint.config(
  { ignores: ['node_modules/**', '.nuxt/**', '.output/**', '.cache/**', 'data/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  prettier,
  { files: ['**/*.vue'], languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, sourceType: 'module' } } },
  {
    rules: {
      // What Prettier cannot break: long words in strings, templates of class names, patterns.
      'max-len': ['error', { code: 160, ignoreUrls: true, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true }],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'eqeqeq': ['error', 'always'],
      // How a chapter adds to what all of them know together.
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
      'max-lines': ['error', { max: 420, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: {
      'vue/no-v-html': 'error',
      'no-restricted-syntax': [
        'error',
        {
          selector: 'Property[key.name="tooltip"] > ObjectExpression:not(:has(SpreadElement[argument.name="plainTooltip"]))',
          message: 'A tooltip is HTML unless it is spread from plainTooltip; what people typed would run in it.',
        },
        { selector: 'AssignmentExpression[left.property.name=/^(innerHTML|outerHTML)$/]', message: 'No HTML from data.' },
        { selector: 'CallExpression[callee.property.name="insertAdjacentHTML"]', message: 'No HTML from data.' },
      ],
    },
  },
  // Stories and tables are as long as they are.
  { files: ['demo/**'], rules: { 'max-lines': 'off' } },
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
