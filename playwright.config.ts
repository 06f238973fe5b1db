import { defineConfig } from '@playwright/test';

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];

export default defineConfig({
  testDir: 'tests/browser',
  workers: 1,
  timeout: 240_000,
  expect: { timeout: 15_000 },
  reporter: [['json', { outputFile: process.env.JITEN_REPORT ?? 'test-results/report.json' }]],
  use: {
    baseURL: process.env.JITEN_URL ?? 'http://127.0.0.1:3210',
    launchOptions: { executablePath: '/usr/bin/chromium', args },
    screenshot: 'only-on-failure',
  },
  projects: [
    { name: 'desk', testIgnore: /phone/, use: { viewport: { width: 1280, height: 800 } } },
    {
      name: 'phone',
      testMatch: /phone/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
    },
  ],
});
