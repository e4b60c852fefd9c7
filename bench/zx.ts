import { makeLog } from './makeLog';
import { fold, Shards, apply } from '@core/ledger';
import { nextRounds, toLookAt, leftFlowers, contradictions, bandDay } from '@core/rounds';
import { walkOrder, keptOut, mainPatch } from '@core/patch';
import { kitchenRound, mayFlower } from '@core/kitchen';
import { bloomDayOf } from '@core/bloom';
import { localDateOf } from '@core/time';
import { roundsBeside } from '@/ui/today/roundsBeside';
const NOW = new Date('2026-07-14T03:05:00Z').getTime();
const log = makeLog(20000);
const s = fold(log) as any;
const patch = mainPatch(s)!; const place = patch.place!; const today = localDateOf(NOW, place.zone);
const living = new Set(walkOrder(s).map((g) => g.plant.id));
const count = new Map<string, number>();
let where = '';
const at = () => { const st = new Error().stack!.split('\n').slice(3, 12).map((l) => /at (\S+) .*\/(\w+\.ts)/.exec(l)).filter((m) => m && !/Shards|shards.ts|remember.ts|Array|map|flatMap/.test(m[0])).slice(0, 3).map((m) => m![1] + '@' + m![2]).join(' < '); return where + ': ' + st; };
const note = (k: string) => { const a = k + ' ' + at(); count.set(a, (count.get(a) ?? 0) + 1); };
for (const table of ['flowers', 'log', 'plants', 'flowersOf']) {
  const t = s[table];
  const w = new Proxy(t, { get(target, p) {
    if (p === 'get') return (id: any) => { const v = target.get(id); if (table === 'flowers' && v && !living.has(v.plant)) note('old flower get'); return v; };
    if (p === 'parts') { note(table + '.parts'); return target.parts; }
    if (p === 'values' || p === 'keys' || p === 'entries' || p === Symbol.iterator || p === 'forEach') { note(table + '.' + String(p)); return (target as any)[p].bind(target); }
    const v = (target as any)[p]; return typeof v === 'function' ? v.bind(target) : v;
  } });
  s[table] = w;
}
const run = (name: string, f: () => any) => { where = name; return f(); };
run('next', () => nextRounds(s, place, NOW));
run('look', () => toLookAt(s, place.zone, today));
run('kitchen', () => kitchenRound(s, place.zone, today).filter(({ growing }: any) => mayFlower(s, place, growing, today)));
const b = run('bloom', () => bloomDayOf(s, place, today));
run('beside', () => roundsBeside(s, place, today, b, NOW));
run('kept', () => keptOut(s, NOW, place.zone));
run('left', () => leftFlowers(s, place.zone, NOW, today, (d: any) => bloomDayOf(s, place, d)));
run('contra', () => contradictions(s, place.zone, today));
for (const [k, v] of [...count].sort()) console.log(v, k);
