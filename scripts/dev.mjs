// npm run dev: the app with reload on every change.
import { ensurePackages, quietEnv, run } from './ensure.mjs';

await ensurePackages();
const { prepareDemo, prepareFonts, preparePaper } = await import('./build.mjs');
prepareFonts();
preparePaper();
prepareDemo();
// Under CI Expo would not watch for changes.
const { CI: _CI, ...env } = quietEnv;
run('npx', ['expo', 'start', '--web', '--port', process.env.PORT ?? '8081'], { env });
