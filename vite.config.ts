import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  build: {
    rolldownOptions: {
      // Forms need Zod's adapter alone; those of other schema libraries would add 600 kB to every page with a form. Components that nobody
      // names stay out, though their package's index, by which its own parts know each other, names them all.
      treeshake: {
        moduleSideEffects: [
          { test: /sveltekit-superforms\/dist\/adapters\//, sideEffects: false },
          { test: /flowbite-svelte\/dist\//, sideEffects: false },
        ],
      },
    },
  },
  test: {
    // Every core: half of two is one.
    maxWorkers: '100%',
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: ['src/**/*.db.test.ts'],
          // No test judges by its seconds: a slow machine is no finding. What hangs ends all the same.
          testTimeout: 120_000,
        },
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
