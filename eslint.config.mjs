// @ts-check
import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import typescript from 'typescript-eslint'

export default typescript.config(
  { ignores: ['.nuxt/', '.output/', '.data/', 'node_modules/', '.dependency-cruiser.cjs', '**/*.local.ts'] },
  js.configs.recommended,
  ...typescript.configs.strict,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    files: ['**/*.ts', '**/*.vue', '**/*.mjs'],
    languageOptions: { parserOptions: { parser: typescript.parser, extraFileExtensions: ['.vue'] } },
    rules: {
      // TypeScript knows what is defined; the linter does not see Nuxt's own imports.
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // Places in typed arrays that loops have just bounded.
      '@typescript-eslint/no-non-null-assertion': 'off',
      'no-console': ['error', { allow: ['error', 'warn'] }],
    },
  },
  { files: ['scripts/**/*.ts', 'tests/bench/**/*.ts'], rules: { 'no-console': 'off' } },
  // A page is named by its address.
  { files: ['app/pages/**/*.vue', 'app/app.vue'], rules: { 'vue/multi-word-component-names': 'off' } },
  // A prop that may be left out means "not given" when it is.
  { files: ['app/**/*.vue'], rules: { 'vue/require-default-prop': 'off' } },
)
