import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/browser.mjs';

const PORT = Number(process.env.YARD_TEST_PORT ?? 4183);
const FLEET_PORT = Number(process.env.YARD_TEST_FLEET_PORT ?? 24_280);

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './scripts/e2eSetup.mjs',
  metadata: { port: PORT, fleetPort: FLEET_PORT },
  fullyParallel: false,
  workers: 1,
  timeout: 180_000,
  expect: { timeout: 15_000 },
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    launchOptions: CHROMIUM,
  },
});
