import { plantsOfStand } from '../patch';
import type { Draft } from '../ledger';
import { atLocalTime, type LocalDate } from '../time';
import type { Diary } from './growers';

/** What the seed circle did for its stands besides pollinating: on which day, by whom, for which crops. All invented. */
const DONE: readonly {
  readonly date: LocalDate;
  readonly by: string;
  readonly care: 'watered' | 'fed' | 'mulched';
  readonly product: string;
  readonly crops: RegExp;
}[] = [
  { date: '2026-06-21', by: 'Oda', care: 'mulched', product: 'straw', crops: /melon|strawberry/ },
  { date: '2026-06-28', by: 'Vesna', care: 'fed', product: 'compost tea', crops: /^squash/ },
  {
    date: '2026-07-08',
    by: 'Oda',
    care: 'watered',
    product: '',
    crops: /^(squash|cucumber|melon|watermelon)/,
  },
  { date: '2026-07-12', by: 'Vesna', care: 'watered', product: '', crops: /./ },
];

/** Writes the care that was given; nothing was sprayed. */
export function writeCare(diary: Diary): void {
  for (const { date, by, care, product, crops } of DONE) {
    let time = atLocalTime(date, 20, 30, diary.place.zone);
    for (const { id, variety } of diary.state.stands.values()) {
      const crop = diary.state.varieties.get(variety)?.crop ?? '';
      if (!crops.test(crop) || plantsOfStand(diary.state, id).every(({ ended }) => ended)) continue;
      const draft: Draft = {
        kind: 'careGiven',
        stand: id,
        care,
        product,
        reentryHours: null,
        daysToHarvest: null,
      };
      diary.write((time += 20_000), by, draft);
    }
  }
}
