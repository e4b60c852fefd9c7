import { benchOpening } from './opening';
void benchOpening(process.argv.slice(2).map(Number), 5).catch((e) => { console.error(e); process.exit(1); });
