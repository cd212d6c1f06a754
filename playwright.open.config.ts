import { defineConfig } from '@playwright/test';
import shared from './playwright.config';

// a real shop on its network: HTTPS with the certificate of its own authority
export default defineConfig({
  ...shared,
  testDir: 'tests/Open',
  outputDir: 'var/browser/open',
  use: { ...shared.use, ignoreHTTPSErrors: true, actionTimeout: 12_000 },
});
