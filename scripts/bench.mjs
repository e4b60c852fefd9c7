// npm run bench: measures, prints ratios and sizes; no test hangs on them.
import { wholeChromium, ensurePackages, run } from './ensure.mjs';

await ensurePackages();
process.env.CHROMIUM = await wholeChromium();
const { build } = await import('./build.mjs');
await build();
run(process.execPath, ['--import', 'tsx', 'bench/index.ts'], { env: process.env });
