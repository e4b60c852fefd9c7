import type { PracticeRecord } from './types';

/** Union by id, in order of time; of two contents under one id the one that sorts first stands, whatever the order. */
export function mergePractice(a: readonly PracticeRecord[], b: readonly PracticeRecord[]): PracticeRecord[] {
  const byId = new Map<string, PracticeRecord>();
  for (const record of [...a, ...b]) {
    const known = byId.get(record.id);
    if (!known || JSON.stringify(record) < JSON.stringify(known)) byId.set(record.id, record);
  }
  return [...byId.values()].sort((x, y) => (x.at === y.at ? (x.id < y.id ? -1 : 1) : x.at < y.at ? -1 : 1));
}
