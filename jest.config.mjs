// Pages write times as the machine has them.
process.env.TZ = 'Europe/London';

const swc = [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true, decorators: true },
      transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
    },
    module: { type: 'commonjs' },
  },
];

/** Node 20 cannot require ES modules, so packages that ship nothing else go through the same transform. */
const onlyModules = [
  '@nestjs',
  'file-type',
  'strtok3',
  'token-types',
  'uint8array-extras',
  '@tokenizer',
  '@borewit',
  'uuid',
  'openapi-fetch',
  'd3-',
  'pitchy',
  'pure-rand',
  'p-limit',
  'yocto-queue',
  'browser-id3-writer',
];

const room = (name) => ({
  displayName: name,
  rootDir: name,
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  testEnvironment: 'node',
  testEnvironmentOptions: { customExportConditions: ['soft-lark-source', 'node', 'node-addons'] },
  transform: { '^.+\\.(m?[jt]sx?)$': swc },
  transformIgnorePatterns: [`/node_modules/(?!(${onlyModules.join('|')}))`],
  setupFiles: ['<rootDir>/../scripts/testing/fixed-seed.cjs'],
  moduleNameMapper: { '\\.module\\.css$': '<rootDir>/../scripts/testing/empty-styles.cjs' },
});

/** Tests stand inside a studio. */
const texts = ['<rootDir>/src/text/studio-texts.ts'];

export default {
  // Nobody works beside the tests: left to itself one core would idle.
  maxWorkers: '100%',
  // Only ends what hangs: a server that is started while the other core compiles takes its time.
  testTimeout: 60_000,
  projects: [
    room('core'),
    {
      ...room('server'),
      globalSetup: '<rootDir>/../scripts/testing/start-database.mjs',
      globalTeardown: '<rootDir>/../scripts/testing/stop-database.mjs',
    },
    { ...room('web'), setupFilesAfterEnv: texts },
    {
      ...room('web'),
      displayName: 'screens',
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
      testEnvironment: '<rootDir>/../scripts/testing/browser-environment.cjs',
      setupFilesAfterEnv: [...texts, '<rootDir>/src/testing/browser.ts'],
      moduleNameMapper: {
        '\\.css$': '<rootDir>/../scripts/testing/empty-styles.cjs',
        '\\.jpg$': '<rootDir>/../scripts/testing/a-picture.cjs',
        // Workers run in the page here, and there is neither microphone nor decoder.
        'workers/(draft|answers|files|track)\\.ts$': '<rootDir>/src/testing/beside-$1.ts',
        'sound/samples\\.ts$': '<rootDir>/src/testing/no-samples.ts',
        '/microphone\\.ts$': '<rootDir>/src/testing/no-microphone.ts',
      },
    },
  ],
};
