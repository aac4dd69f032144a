// CommonJS mode everywhere: mocks hoist, and CommonJS libraries may require packages that are ESM only.
import { fileURLToPath } from 'node:url';

const esmOnly = [
  '@nestjs',
  '@tus',
  'srvx',
  'file-type',
  'token-types',
  'strtok3',
  'uint8array-extras',
  '@tokenizer',
  'uuid',
  'p-limit',
  'yocto-queue',
  'cookie',
  'comlink',
].join('|');
const options = (parser, transform) => ({ jsc: { target: 'es2022', parser, transform }, module: { type: 'commonjs' } });
const typescript = (transform) => [
  '@swc/jest',
  options({ syntax: 'typescript', tsx: true, decorators: true }, transform),
];
const javascript = ['@swc/jest', options({ syntax: 'ecmascript' })];
const folder = (name) => fileURLToPath(new URL(`./${name}`, import.meta.url));

const common = (name) => ({
  displayName: name,
  rootDir: folder(name),
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts?(x)'],
  moduleNameMapper: {
    '^(\\.{1,2}/.*)\\.js$': '$1',
    '^@odograph/core$': folder('core/src/index.ts'),
    '^@odograph/core/contract$': folder('core/src/contract/index.ts'),
    '^@odograph/demo$': folder('demo/src/index.ts'),
  },
  transform: { '\\.ts$': typescript(), '\\.m?js$': javascript },
  transformIgnorePatterns: [`/node_modules/(?!(${esmOnly})/)`],
});

const server = common('server');
const web = common('web');

export default {
  // as many as there are cores here: the tests wait for databases and ffmpeg more than they compute
  maxWorkers: 2,
  // they may share the processors with the journeys, on a machine that is many times slower than it was a moment ago: this only ends what hangs
  testTimeout: 900_000,
  projects: [
    common('core'),
    common('demo'),
    {
      ...server,
      globalSetup: folder('scripts/testDatabase.mjs'),
      globalTeardown: folder('scripts/testDatabaseEnd.mjs'),
      transform: {
        ...server.transform,
        '\\.ts$': typescript({ legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false }),
      },
    },
    {
      ...web,
      setupFiles: ['<rootDir>/test/setup.ts'],
      transform: { ...web.transform, '\\.tsx?$': typescript({ react: { runtime: 'automatic' } }) },
      moduleNameMapper: { ...web.moduleNameMapper, '\\.css$': '<rootDir>/test/empty.ts' },
    },
  ],
};
