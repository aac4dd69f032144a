import { defineConfig } from '@playwright/test';
import { isThorough } from './src/support/thorough.js';

export default defineConfig({
  testDir: './src',
  outputDir: '../test-results',
  globalSetup: './src/support/prepared.ts',
  // each worker starts a product of its own; what they wait for is mostly the next picture of the screen
  workers: 3,
  // what stands beside each of these shows the same by smaller means
  ...(isThorough ? {} : { grepInvert: /@stress/ }),
  // the longest that anything is waited for: on a machine that is busy with other work reading a file alone takes ten seconds
  timeout: 240_000,
  expect: { timeout: 40_000 },
  reporter: 'list',
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    actionTimeout: 40_000,
    navigationTimeout: 40_000,
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
