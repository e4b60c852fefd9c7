// Plain and quick: the core needs no Babel. (No hoisting of jest.mock, which the core does not use.)
const { createHash } = require('node:crypto');
const { transformSync } = require('esbuild');

module.exports = {
  process(source, path) {
    const loader = path.endsWith('.ts') ? 'ts' : path.endsWith('.tsx') ? 'tsx' : 'js';
    return transformSync(source, {
      loader,
      format: 'cjs',
      target: 'node20',
      sourcemap: 'inline',
      sourcefile: path,
    });
  },
  getCacheKey: (source, path) => createHash('sha1').update(source).update(path).digest('hex'),
};
