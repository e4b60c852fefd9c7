import { mergePractice, validatePractice, type PracticeRecord } from '@core/practice';
import type { Box } from './port';

/** Practice records of a space: in a box of their own, away from the garden's log. One key a record. */
export class PracticeStore {
  constructor(private readonly box: Box) {}

  /** Everything kept, in order of time. What cannot be read is left where it is, and passed over. */
  async all(): Promise<PracticeRecord[]> {
    const kept = await this.box.getMany(await this.box.keys());
    const records = Object.values(kept).flatMap((text) => {
      try {
        const checked = validatePractice(JSON.parse(text ?? 'null'));
        return checked.ok ? [checked.record] : [];
      } catch {
        return [];
      }
    });
    return mergePractice(records, []);
  }

  /** Those of a file that are not here yet. */
  async missing(records: readonly PracticeRecord[]): Promise<PracticeRecord[]> {
    const known = new Set(await this.box.keys());
    return mergePractice(records, []).filter(({ id }) => !known.has(id));
  }

  /** Acknowledged only once it is stored. A record already there stays as it is. */
  async add(records: readonly PracticeRecord[]): Promise<void> {
    const known = new Set(await this.box.keys());
    for (const record of records)
      if (!known.has(record.id)) await this.box.set(record.id, JSON.stringify(record));
  }
}
