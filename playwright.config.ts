import { defineConfig } from '@playwright/test';

const flags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: 'tests/Browser',
  outputDir: 'var/browser',
  workers: 1,
  timeout: 150_000,
  expect: { timeout: 10_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env['ODD_BENCH_URL'] ?? 'http://localhost:8420',
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: flags },
    // a fifth of the work, and nobody looks at them there
    trace: process.env['CI'] ? 'off' : 'retain-on-failure',
  },
});
