import js from '@eslint/js';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import { flatConfigs as importX } from 'eslint-plugin-import-x';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** The rooms of the core, lowest first: each imports from those above it in this list, and from no other. */
const CORE_ROOMS = [
  ['base'],
  ['office'],
  ['catalogue'],
  ['model'],
  ['measure', 'speech', 'still'],
  ['recording'],
  ['vision'],
  ['lateral'],
  ['judge'],
  ['assess.ts'],
  ['assess-profiles.ts'],
  ['cautions.ts'],
  ['planning'],
  ['section', 'site', 'comparison'],
  ['report'],
  ['schedule'],
  ['desk', 'simulator', 'interchange', 'trace'],
];

/** No room imports what stands beside it or later in the list. */
const CORE_WALLS = CORE_ROOMS.flatMap((rooms, level) =>
  rooms.flatMap((room) =>
    CORE_ROOMS.slice(level)
      .flat()
      .filter((other) => other !== room)
      .map((other) => ({
        target: `./src/core/${room}`,
        from: `./src/core/${other}`,
        message: `${room} is below or beside ${other}: what both need belongs in a lower room.`,
      })),
  ),
);

/** Rooms and what they may not reach into. Imports point one way. */
const WALLS = [
  {
    target: './src/core',
    from: './src',
    except: ['./core'],
    message: 'The core imports nothing outside the core.',
  },
  {
    target: './src/client',
    from: './src',
    except: ['./client', './core', './picture'],
    message: 'The client imports the core and the picture alone: screens are laid over it.',
  },
  {
    target: './src/picture',
    from: './src',
    except: ['./picture', './core'],
    message: 'The picture is drawn from the core alone.',
  },
  { target: './src/server', from: './src/client', message: 'The server knows no devices.' },
  { target: './src/screens', from: './src/server', message: 'Screens never import the server.' },
  {
    target: './src/screens',
    from: './src/pages',
    message: 'Pages import screens, not the other way.',
  },
  { target: './src/ui', from: './src/server', message: 'Components never import the server.' },
  {
    target: './src/ui',
    from: './src/screens',
    message: 'Screens import components, not the other way.',
  },
  { target: './src/server', from: './src/screens', message: 'The server knows no screens.' },
  { target: './src/server', from: './src/ui', message: 'The server knows no screens.' },
  {
    target: './src/server',
    from: './src/pages',
    message: 'Pages call the server, not the other way.',
  },
];

/** Packages that are as pure as the core itself. */
const CORE_PACKAGES = ['joi', 'temporal-polyfill', 'papaparse', 'ics', 'syllable'];

export default tseslint.config(
  { ignores: ['dist', '.astro', 'node_modules', '.chert', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  importX.recommended,
  importX.typescript,
  {
    settings: {
      'import-x/resolver-next': [
        createTypeScriptImportResolver({
          project: 'tsconfig.json',
          noWarnOnMultipleProjects: true,
        }),
      ],
    },
    rules: {
      'import-x/no-cycle': 'error',
      'import-x/no-restricted-paths': ['error', { zones: WALLS }],
      'import-x/no-default-export': 'error',
      // From far to near, by name: two changes then seldom meet in one line.
      'import-x/order': [
        'error',
        {
          groups: ['builtin', 'external', 'internal', 'parent', 'sibling', 'index'],
          pathGroups: [{ pattern: '#*/**', group: 'internal' }],
          named: true,
          alphabetize: { order: 'asc', caseInsensitive: true },
        },
      ],
      // The compiler checks names itself.
      'import-x/named': 'off',
      'import-x/namespace': 'off',
      'import-x/no-named-as-default-member': 'off',
      'import-x/no-named-as-default': 'off',
      'import-x/no-unresolved': ['error', { ignore: ['^astro:'] }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      // An index or a lookup that an invariant guarantees is said with "!"; the invariant is near it.
      '@typescript-eslint/no-non-null-assertion': 'off',
      eqeqeq: 'error',
      'max-lines': ['error', { max: 300 }],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/testing/**'],
    rules: {
      'import-x/no-restricted-paths': ['error', { zones: [...WALLS, ...CORE_WALLS] }],
      'import-x/no-extraneous-dependencies': 'off',
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^(?!\\.|(?:${CORE_PACKAGES.join('|')})$)`,
              message:
                'The core imports nothing outside the core, save the pure packages in CORE_PACKAGES.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'console',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'The core reads no clock.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core reads no clock.',
        },
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'The core draws no random numbers.',
        },
      ],
    },
  },
  {
    files: ['src/{picture,screens,ui}/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks, ...jsxA11y.flatConfigs.recommended.plugins },
    languageOptions: { globals: globals.browser },
    rules: {
      ...reactHooks.configs.recommended.rules,
      ...jsxA11y.flatConfigs.recommended.rules,
      'react-hooks/set-state-in-effect': 'off',
    },
  },
  {
    files: ['src/{screens,ui}/**/*.tsx'],
    ignores: ['src/screens/shared/Later.tsx'],
    rules: {
      // The server does not wait for a part that is fetched: its page would be thrown away and drawn anew.
      'no-restricted-imports': [
        'error',
        { paths: [{ name: 'react', importNames: ['Suspense'], message: 'Use Later.' }] },
      ],
    },
  },
  {
    // What only the types can tell: a promise nobody waits for, a cast that does nothing, a test that is never false.
    files: ['src/**/*.{ts,tsx}', 'e2e/**/*.ts', 'bench/**/*.ts'],
    ignores: ['src/workers/service-worker.ts'],
    extends: [tseslint.configs.strictTypeCheckedOnly],
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      // A number in a template is as plain as its digits; a bare call as an arrow's body is no value.
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      // React takes a handler whatever it gives back; what it promises is caught where it is made.
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false } },
      ],
      // What waits in one place need not in another: a stand-in keeps the signature of what it stands for.
      '@typescript-eslint/require-await': 'off',
    },
  },
  {
    // Tests take files apart that have no shape yet.
    files: ['**/*.test.ts', 'e2e/**/*.ts', 'bench/**/*.ts'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['**/*.{js,mjs}', 'scripts/**'],
    languageOptions: { globals: globals.node },
  },
  {
    files: ['*.config.{js,mjs,ts}'],
    rules: { 'import-x/no-default-export': 'off' },
  },
);
