import { defineConfig } from '@playwright/test';
import base from './playwright.config.js';

/** `npm run pictures`: takes the pictures of the README anew, from the demo data. */
export default defineConfig({ ...base, testDir: './src/pictures', testMatch: '*.pictures.ts' });
