// What the bundler takes for 'sveltekit-superforms/adapters': the package's own index brings eight schema libraries along.
export { zod as zod4 } from '../../../../node_modules/sveltekit-superforms/dist/adapters/zod4.js';
