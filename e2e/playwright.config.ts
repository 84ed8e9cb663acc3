import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  // What is waited for is what is tested, not how fast it comes: a machine may stand still, or have other work.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  workers: 2,
  // Every walk begins from the demo data, so that any may go to whichever worker is free.
  fullyParallel: true,
  retries: 0,
  reporter: process.env.E2E_JSON ? [['line'], ['json', { outputFile: process.env.E2E_JSON }]] : 'line',
  outputDir: '../.data/e2e',
  use: {
    // Gauges in psi, weights in kilograms.
    locale: 'en-AU',
    contextOptions: { reducedMotion: 'reduce' },
    // Walks that are about it let it in.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
  projects: [
    { name: 'phone', testIgnore: '**/keys.spec.ts', use: { viewport: { width: 390, height: 844 } } },
    // Walks of what is laid out otherwise at a table; what does not change with the width is walked on the phone alone.
    { name: 'wide', grep: /@wide/, use: { viewport: { width: 1280, height: 800 } } },
  ],
});
