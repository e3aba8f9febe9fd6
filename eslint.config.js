const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier');
const lingui = require('eslint-plugin-lingui');

/** What the rules for React would say of files without any; they took half of the lint's time. */
const NO_REACT = Object.fromEntries(
  expo
    .flatMap(({ rules = {} }) => Object.keys(rules))
    .filter((rule) => /^(react|react-hooks)\//.test(rule))
    .map((rule) => [rule, 'off']),
);

module.exports = defineConfig([
  {
    ignores: [
      'dist/**',
      '.expo/**',
      '.cache/**',
      'node_modules/**',
      'public/vision/**',
      'docs/**',
      'data/languages/**',
    ],
  },
  expo,
  prettier,
  {
    rules: {
      eqeqeq: ['error', 'always'],
      'no-console': 'error',
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      complexity: ['error', 16],
      // fast-check is used as `fc.property` everywhere in its own documentation.
      'import/no-named-as-default-member': 'off',
      // Made by the bundler: see metro.config.js.
      'import/no-unresolved': ['error', { ignore: ['^async-storage-connections$'] }],
      // Packages, then what is ours from the outside in; in each the order of the alphabet.
      'import/order': [
        'error',
        {
          groups: ['builtin', 'external', 'internal', 'parent', 'sibling', 'index'],
          pathGroups: [{ pattern: '@/**', group: 'internal' }],
          pathGroupsExcludedImportTypes: ['builtin'],
          alphabetize: { order: 'asc', caseInsensitive: true },
          'newlines-between': 'never',
        },
      ],
    },
  },
  {
    files: ['app/**/*.tsx', 'src/**/*.{ts,tsx}'],
    plugins: { lingui },
    rules: {
      // A text that is read with its module would stay in the language of that moment.
      'lingui/t-call-in-function': 'error',
      // A translator sees what stands there; and the two compilers count nameless values differently.
      'lingui/no-expression-in-message': 'error',
      'lingui/no-single-variables-to-translate': 'error',
    },
  },
  { files: ['src/core/**', 'server/**', 'cli/**', 'e2e/**', 'scripts/**'], rules: NO_REACT },
  // What the compiler says itself; asking twice took most of the time of the lint.
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      'import/namespace': 'off',
      'import/named': 'off',
      'import/default': 'off',
      'import/no-named-as-default': 'off',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        { name: 'Date', message: 'Time is passed in.' },
        { name: 'window', message: 'The core has no interface.' },
        { name: 'document', message: 'The core has no interface.' },
        { name: 'localStorage', message: 'The core has no storage.' },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is passed in.' },
      ],
    },
  },
  { files: ['src/core/base/measures/calendarDay.ts'], rules: { 'no-restricted-globals': 'off' } },
  {
    files: ['app/**/*.tsx', 'src/features/**/*.tsx'],
    // The one that needs the router.
    ignores: ['src/features/shared/LinkBox.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...['Literal[value', 'TemplateElement[value.raw'].map((text) => ({
          selector: `${text}=/-\\[\\d+px\\]/]`,
          message: 'Sizes have names: see tailwind.config.js.',
        })),
      ],
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: 'react-native',
              importNames: ['FlatList', 'SectionList', 'VirtualizedList', 'Animated'],
              message: 'Its class names are not known there: see src/ui/List.tsx.',
            },
            {
              name: 'react-native',
              importNames: ['Pressable', 'TextInput', 'TouchableOpacity', 'Button'],
              message:
                'One button, chip and field for all screens: Button, ButtonBox, Chip, Field of src/ui, LinkBox.',
            },
          ],
        },
      ],
    },
  },
  // Read only when the language is known: see docs/architecture.md, “Languages”.
  {
    files: [
      'index.ts',
      'src/workers/*.worker.ts',
      'src/core/base/translation/*.test.ts',
      'src/core/recipe/classification/constants.test.ts',
    ],
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  { files: ['cli/**', 'server/**', 'scripts/**', 'e2e/**'], rules: { 'no-console': 'off' } },
]);
