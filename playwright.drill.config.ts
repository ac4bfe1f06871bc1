import base from './playwright.config';
import { defineConfig } from '@playwright/test';

/** What a phone lives through while everything is put away and brought back: bin/lib/drill.sh runs it in two parts. */
export default defineConfig(base, { testDir: 'tests/drill', outputDir: 'test-results/drill', workers: 1, retries: 0 });
