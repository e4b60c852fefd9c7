import { doubleMarks, findMark, markAt, nearestMarks, nextMarkIn } from '../core/purity';
import { Shards, type Flower, type State } from '../core/ledger';

/** Prints how long it takes to find a fruit among so many marks, by a true mark, by a wrong one, and the next one to give out. */
export function benchMarks(marks: number): void {
  // In shards, as the log's state holds them.
  const flowers = Shards.of(
    new Map(
      Array.from({ length: marks }, (_, n) => {
        const mark = markAt(n);
        const flower = { id: `flower:${n}`, mark, markings: [{ mark, goneAt: null }] };
        return [flower.id, flower as unknown as Flower];
      }),
    ),
  ) as unknown as State['flowers'];
  const timed = (what: string, work: () => unknown) => {
    const start = performance.now();
    work();
    console.log(`  ${what}: ${(performance.now() - start).toFixed(0)} ms`);
  };
  console.log(`${marks} marks on record`);
  timed('found by its mark, the first time', () => findMark({ flowers }, markAt(Math.floor(marks * 0.8))));
  timed('again', () => findMark({ flowers }, markAt(123)));
  timed('the nearest of a wrong one', () => nearestMarks({ flowers }, 'F23-X'));
  timed('again', () => nearestMarks({ flowers }, 'K23-X'));
  timed('marks that hang twice', () => doubleMarks({ flowers }));
  timed('the next to give out', () => nextMarkIn({ flowers }));
}
