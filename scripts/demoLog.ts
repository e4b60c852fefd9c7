// Writes the demo's log, as the app would make it: made once at build, so that no visitor waits for it.
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { toJson } from '../core/formats';
import { demoLog } from '../core/simulation';

const [, , path] = process.argv;
if (!path) throw new Error('demoLog: say where to write the file.');
mkdirSync(dirname(path), { recursive: true });
writeFileSync(path, toJson(demoLog()));
