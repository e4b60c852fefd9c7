// npm run dev: the app with reload on every change.
import { ensurePackages, quietEnv, root, run } from './ensure.mjs';

ensurePackages();
const { prepareFonts } = await import('./build.mjs');
prepareFonts();
run('npx', ['expo', 'start', '--web', '--port', process.env.PORT ?? '8081'], {
  cwd: root,
  env: { ...quietEnv, CI: '' },
});
