import { fileURLToPath } from 'node:url';
import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

// Forms need Zod's adapter alone; the package's index would add 600 kB to every page with a form.
const zodAdapterOnly = {
  'sveltekit-superforms/adapters': fileURLToPath(new URL('src/lib/ui/form/zodAdapterOnly.js', import.meta.url)),
};

export default defineConfig({
  resolve: { alias: zodAdapterOnly },
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  test: {
    // Every core: half of two is one.
    maxWorkers: '100%',
    projects: [
      {
        extends: true,
        test: { name: 'unit', include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'], exclude: ['src/**/*.db.test.ts'] },
      },
      {
        extends: true,
        test: {
          // Every core: half of two is one.
          maxWorkers: '100%',
          name: 'db',
          include: ['src/**/*.db.test.ts'],
          globalSetup: 'scripts/testDatabase.mjs',
          fileParallelism: false,
          testTimeout: 120_000,
          hookTimeout: 180_000,
        },
      },
    ],
  },
});
