import hooks from 'eslint-plugin-react-hooks';
import regexp from 'eslint-plugin-regexp';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: ['**/dist/**', '**/node_modules/**', '**/*.gen.ts', '**/*.mjs', '**/*.cjs', 'docs/**', 'test-results/**'],
  },
  ...tseslint.configs.strictTypeChecked,
  {
    linterOptions: { reportUnusedDisableDirectives: 'error' },
    languageOptions: {
      parserOptions: {
        project: ['core/tsconfig.test.json', 'server/tsconfig.test.json', 'web/tsconfig.json', 'e2e/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/explicit-module-boundary-types': 'error',
      'max-lines': ['error', { max: 250, skipBlankLines: true }],
      eqeqeq: 'error',
    },
  },
  {
    // A text that does not fit must be refused as fast as one that does, or one typist holds everybody up.
    plugins: { regexp },
    rules: { 'regexp/no-super-linear-backtracking': 'error', 'regexp/no-super-linear-move': 'error' },
  },
  {
    files: ['server/src/**/*.ts'],
    rules: {
      // Nest modules are empty classes that carry a decorator.
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
      // Requests and answers are plain objects; their classes only carry the decorators that check and document them.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-misused-spread': 'off',
    },
  },
  {
    // Rows of a studio are asked for through StudioScope, which adds the studio to every query.
    files: ['server/src/**/*.ts'],
    ignores: ['server/src/{database,studios,health,demo,testing}/**', '**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { paths: [{ name: '@nestjs/typeorm', importNames: ['InjectRepository', 'InjectDataSource'] }] },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "CallExpression[callee.object.name='manager'][callee.property.name=/^(query|find|findOne|save|insert|update|delete|getRepository|createQueryBuilder)$/]",
          message: 'Ask through StudioScope.',
        },
      ],
    },
  },
  {
    // What a component shows and does is read in one look.
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'max-lines-per-function': ['error', { max: 80 }] },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: hooks.configs.recommended.rules,
  },
  {
    // Query options and page locators are typed by the library they come from.
    files: ['web/src/**/*.queries.ts', 'e2e/teacher.ts'],
    rules: { '@typescript-eslint/explicit-module-boundary-types': 'off' },
  },
  {
    // Tables of data and the catalogue of texts hold one thing, however long.
    files: ['**/*.data.ts', 'web/src/text/*.ts'],
    rules: { 'max-lines': 'off' },
  },
  {
    files: ['**/*.test.{ts,tsx}', 'e2e/**/*.ts'],
    rules: { 'max-lines': ['error', { max: 400, skipBlankLines: true }] },
  },
);
