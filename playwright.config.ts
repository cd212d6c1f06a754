import { defineConfig } from '@playwright/test';
import { existsSync } from 'node:fs';

const flags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

// the one without a window's trimmings, where it is there
export const browser =
  process.env['CHROMIUM'] ??
  ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((path) => existsSync(path)) ??
  'chromium';

export default defineConfig({
  testDir: 'tests/Browser',
  outputDir: process.env['PLAYWRIGHT_OUTPUT'] ?? 'var/browser',
  workers: 1,
  // the longest story on a machine that does other work as well; how quick a screen is is measured elsewhere
  timeout: 300_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env['ODD_BENCH_URL'] ?? 'http://localhost:8420',
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: browser, args: flags },
    // a fifth of the work, and nobody looks at them there
    trace: process.env['CI'] ? 'off' : 'retain-on-failure',
  },
});
