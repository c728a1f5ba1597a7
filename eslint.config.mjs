// @ts-check
import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import typescript from 'typescript-eslint'

export default typescript.config(
  { ignores: ['.nuxt/', '.output/', '.data/', 'node_modules/', '.dependency-cruiser.cjs', '**/*.local.ts'] },
  js.configs.recommended,
  ...typescript.configs.strictTypeChecked,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    files: ['**/*.ts', '**/*.vue', '**/*.mjs'],
    languageOptions: {
      parserOptions: {
        parser: typescript.parser,
        projectService: { allowDefaultProject: ['eslint.config.mjs'] },
        extraFileExtensions: ['.vue'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      // TypeScript knows what is defined; the linter does not see Nuxt's own imports.
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // A word of a sentence is no name of a thing.
      'id-denylist': ['error', 'of', 'is', 'one'],
      'no-console': ['error', { allow: ['error', 'warn'] }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      // What stands in for something that has to wait promises like it, and has nothing to wait for.
      '@typescript-eslint/require-await': 'off',
    },
  },
  // Tests read what a server or a program answered as it comes.
  {
    files: ['tests/**/*.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/unbound-method': 'off',
      // What a beforeAll that failed has left undone is not there afterwards, though its type says so.
      '@typescript-eslint/no-unnecessary-condition': 'off',
    },
  },
  { files: ['eslint.config.mjs'], ...typescript.configs.disableTypeChecked },
  { files: ['scripts/**/*.ts', 'tests/bench/**/*.ts'], rules: { 'no-console': 'off' } },
  // A template says by imports where its components come from.
  { files: ['app/**/*.vue'], rules: { 'vue/no-undef-components': 'error' } },
  // A page is named by its address; Nuxt says what the two above them are called.
  { files: ['app/pages/**/*.vue', 'app/app.vue', 'app/error.vue'], rules: { 'vue/multi-word-component-names': 'off' } },
  // A prop that may be left out means "not given" when it is.
  { files: ['app/**/*.vue'], rules: { 'vue/require-default-prop': 'off' } },
)
