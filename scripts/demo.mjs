// npm run demo: installs and builds what is missing, then serves the app with its demo patch.
import { spawn } from 'node:child_process';
import { ensurePackages, root } from './ensure.mjs';

await ensurePackages();
const { build } = await import('./build.mjs');
await build();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts'], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
