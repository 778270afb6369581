import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

// What each package may import of ours; see docs/decisions.md. Everything else is refused, relative paths across packages included.
const ALLOWED = { core: [], contract: ['core'], server: ['contract', 'core'], standins: ['core'], web: ['contract', 'core'] }

const direction = Object.entries(ALLOWED).map(([name, allowed]) => {
  const message = `${name} may import only ${allowed.length ? allowed.map((a) => `@idolon/${a}`).join(' and ') : 'nothing'} of ours.`
  const ours = allowed.length ? `^@idolon/(?!(?:${allowed.join('|')})(?:/reader|/check|/helper|/look|/tables/\\w+\\.(?:bin|json)\\?(?:url|raw|inline))?$)` : '^@idolon/'
  return {
    files: [`packages/${name}/src/**/*.{ts,vue}`],
    rules: {
      'no-restricted-imports': ['error', { patterns: [{ regex: ours, message }, { regex: '(?:\\.\\./)+(?:core|contract|server|standins|web|packages)/', message }] }],
      'no-restricted-syntax': ['error', { selector: `ImportExpression[source.value=/${ours.replaceAll('/', '\\/')}/]`, message }],
    },
  }
})

// The interface is built of the library's parts, so that keys, focus and both themes are right in every one of them.
const RAW = ['button', 'select', 'input', 'textarea', 'dialog', 'details', 'table']
const libraryOnly = {
  files: ['packages/web/src/**/*.vue'],
  rules: { 'vue/no-restricted-html-elements': ['error', ...RAW.map((element) => ({ element, message: `<${element}> is the library's to draw: take its part for it.` }))] },
}

export default tseslint.config(
  { ignores: ['**/node_modules/**', '**/dist/**', '.build/**', 'data/**', 'packages/web/node_modules.contract-*/**', 'test-results/**'] },
  js.configs.recommended,
  ...tseslint.configs.strictTypeChecked,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: {
      parser: tseslint.parser,
      parserOptions: { projectService: { allowDefaultProject: ['eslint.config.js'] }, tsconfigRootDir: import.meta.dirname, extraFileExtensions: ['.vue'] },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true }],
      // Tests and tables read better with the assertion than with a check that cannot fail.
      '@typescript-eslint/no-non-null-assertion': 'off',
      // Index access is checked by the compiler (noUncheckedIndexedAccess).
      '@typescript-eslint/no-unnecessary-condition': 'off',
      // Takes assertions for unnecessary that the compiler needs.
      '@typescript-eslint/no-unnecessary-type-assertion': 'off',
      '@typescript-eslint/no-dynamic-delete': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'error',
      // Each asks for the assignability of nearly every expression, for mistakes that the compiler's own check of the same assignments finds.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser }, globals: globals.browser },
    rules: {
      'no-undef': 'off',
      // Layout of templates is a matter of reading, not of rules.
      // The columns of the library's tables are slots named by their keys: `item.name`.
      'vue/valid-v-slot': ['error', { allowModifiers: true }],
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
    },
  },
  // Views are checked by the compiler; reading the types of their templates once more doubles the time of all of this.
  { files: ['eslint.config.js', '**/*.vue'], extends: [tseslint.configs.disableTypeChecked] },
  libraryOnly,
  ...direction,
)
