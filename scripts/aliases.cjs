// The import aliases of svelte.config.js, in the form the dependency rule reads.
const path = require('node:path');
const root = path.join(__dirname, '..');
module.exports = {
  resolve: {
    alias: { $core: path.join(root, 'src/core'), $lib: path.join(root, 'src/lib') },
    extensions: ['.ts', '.js', '.svelte'],
    conditionNames: ['svelte', 'import', 'node', 'default'],
  },
};
