import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  kit: {
    adapter: adapter(),
    alias: { $core: 'src/core' },
    // What tests and benchmarks are made of is checked as strictly as what they test.
    typescript: {
      config: (config) => ({
        ...config,
        include: [...config.include, '../e2e/**/*.ts', '../bench/**/*.ts', '../scripts/**/*.ts', '../*.config.ts'],
      }),
    },
    // Writes of foreign pages are refused at our own door (`lib/server/guard.ts`), in the words of the API and whatever type they claim.
    csrf: { trustedOrigins: ['*'] },
    csp: {
      directives: {
        'default-src': ['self'],
        'script-src': ['self'],
        'style-src': ['self', 'unsafe-inline'],
        'img-src': ['self', 'data:'],
        'frame-ancestors': ['none'],
        'base-uri': ['self'],
        'form-action': ['self'],
      },
    },
  },
};
