import {
  CATALOGUE_STRENGTH,
  alphaDraws,
  calendarFrom,
  onCalendar,
  openingAlpha,
  openingPrior,
  openingsExpected,
  type BudRecord,
  type DayTemperature,
  type ExpectedFlower,
} from '../core/bloom';
import { hashText, seededRandom, type Random } from '../core/random';
import { addDays, daysBetween, type LocalDate } from '../core/time';

// The truth here is a bud that grows: a length that rises day by day with the warmth and its own vigour, read by a
// person with a tape of their own, and opens on the first morning it has reached its size. Nothing of the
// forecaster's tables or its idea of warmth is used.

const START: LocalDate = '2026-06-01';
const CROP = 'squash-maxima';

interface Season {
  readonly records: BudRecord[];
  readonly shown: { stage: 'pin' | 'green' | 'coloured'; seenOn: LocalDate; opensOn: LocalDate }[];
  readonly temperatures: DayTemperature[];
}

const normal = (random: Random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** One season: `learn` buds watched to their opening, then `ask` buds to forecast. */
function season(seed: number, learn: number, ask: number): Season {
  const random = seededRandom(hashText(`season/${seed}`));
  // The patch's own pace, far from the catalogue's in most seasons; the eye's own idea of "coloured".
  const pace = 0.62 + random() * 0.75;
  const eye = { green: 0.34 + random() * 0.16, coloured: 0.66 + random() * 0.16 };
  const temperatures: DayTemperature[] = [];
  let warmth = 0;
  for (let day = 0; day < 120; day++) {
    warmth = warmth * 0.8 + normal(random) * 1.1;
    temperatures.push({ date: addDays(START, day), meanC: 19.5 + warmth });
  }
  const growth = (day: number) => {
    const meanC = temperatures[day]?.meanC ?? 19;
    // A curve with an optimum, unlike a straight line from a base.
    return Math.exp(-(((meanC - 26) / 13) ** 2)) * 1.28;
  };
  const watched: Season['shown'] = [];
  const all: Season['shown'] = [];
  while (all.length < learn + ask) {
    const born = Math.floor(random() * 25) + (all.length < learn ? 0 : 45);
    const vigour = Math.exp(normal(random) * 0.14);
    let length = random() * 0.08;
    let opensOn: LocalDate | null = null;
    const lengths: number[] = [];
    for (let day = born; day < born + 30; day++) {
      length += 0.27 * pace * vigour * growth(day) * (0.85 + 0.3 * random());
      lengths.push(length);
      if (length >= 1.12) {
        opensOn = addDays(START, day);
        break;
      }
    }
    if (opensOn === null || lengths.length < 2) continue;
    // Seen once, on some evening before it opened.
    const at = Math.floor(random() * (lengths.length - 1));
    const seen = (lengths[at] as number) + normal(random) * 0.035;
    const stage = seen < eye.green ? 'pin' : seen < eye.coloured ? 'green' : 'coloured';
    const bud = { stage, seenOn: addDays(START, born + at), opensOn } as const;
    all.push(bud);
    if (all.length <= learn) watched.push(bud);
  }
  return {
    records: watched.map(({ stage, seenOn, opensOn }) => ({ stage, seenOn, openedOn: opensOn, crop: CROP })),
    shown: all.slice(learn),
    temperatures,
  };
}

/** The catalogue as a bare table: its usual days and nothing else. */
function tableForecast(stage: 'pin' | 'green' | 'coloured', seenOn: LocalDate) {
  const days = { pin: [3, 4], green: [2], coloured: [1] }[stage];
  return days.map((day) => ({ date: addDays(seenOn, day), probability: 1 / days.length }));
}

const priorForecast = (stage: 'pin' | 'green' | 'coloured', seenOn: LocalDate) =>
  onCalendar(openingPrior(CROP, stage), calendarFrom(seenOn));

function brier(forecast: readonly { date: LocalDate; probability: number }[], opensOn: LocalDate): number {
  let score = 0;
  let hit = false;
  for (const { date, probability } of forecast) {
    const happened = date === opensOn ? 1 : 0;
    hit ||= date === opensOn;
    score += (probability - happened) ** 2;
  }
  return hit ? score : score + 1;
}

/** Prints calibration and scores over simulated seasons whose buds keep another pace than the catalogue's. */
export function benchForecast(seasons = 2000, firstSeed = 10_000, ASK = 40): void {
  const LEARN = 30;
  const days = Array.from({ length: 40 }, (_, ahead) => addDays(START, ahead));
  const scores = { ours: 0, prior: 0, table: 0 };
  let inside = 0;
  let below = 0;
  let above = 0;
  let ranges = 0;
  let loose = 0;
  for (let i = 0; i < seasons; i++) {
    const { records, shown, temperatures } = season(firstSeed + i, LEARN, ASK);
    const flowers: ExpectedFlower[] = [];
    const kinds = new Map(
      (['pin', 'green', 'coloured'] as const).map((stage) => {
        const alpha = openingAlpha({ crop: CROP, stage, seenOn: START, records, temperatures });
        const sum = alpha.reduce((a, b) => a + b, 0);
        return [
          stage,
          { mean: alpha.map((value) => value / sum), draws: alphaDraws(alpha, hashText(stage)) },
        ];
      }),
    );
    for (const { stage, seenOn, opensOn } of shown) {
      const kind = kinds.get(stage);
      if (!kind) continue;
      const calendar = calendarFrom(seenOn, temperatures);
      scores.ours += brier(onCalendar(kind.mean, calendar), opensOn);
      scores.prior += brier(priorForecast(stage, seenOn), opensOn);
      scores.table += brier(tableForecast(stage, seenOn), opensOn);
      // As seen from one evening: every bud was seen then, so that dates speak of days ahead.
      const aligned = { dates: days, share: calendar.share };
      flowers.push({ scenarios: kind.draws.map((chances) => onCalendar(chances, aligned)) });
    }
    for (const { date, low80, high80, mean } of openingsExpected(flowers)) {
      if (mean < 0.5) continue;
      const ahead = daysBetween(START, date);
      const count = shown.filter(({ seenOn, opensOn }) => daysBetween(seenOn, opensOn) === ahead).length;
      ranges++;
      if (count < low80) below++;
      else if (count > high80) above++;
      else inside++;
      loose += high80 - low80;
    }
  }
  const buds = seasons * ASK;
  console.log(
    `forecast, ${seasons} seasons, ${LEARN} buds watched, ${ASK} asked, catalogue worth ${CATALOGUE_STRENGTH} buds:`,
  );
  console.log(
    `  80 % ranges held ${((100 * inside) / ranges).toFixed(1)} % of ${ranges} (below ${((100 * below) / ranges).toFixed(1)}, above ${((100 * above) / ranges).toFixed(1)}), mean width ${(loose / ranges).toFixed(2)}; wanted 76-84 %`,
  );
  console.log(
    `  Brier score ${(scores.ours / buds).toFixed(3)}; catalogue's chances ${(scores.prior / buds).toFixed(3)} (ours ${(100 * (1 - scores.ours / scores.prior)).toFixed(0)} % better), bare table ${(scores.table / buds).toFixed(3)} (${(100 * (1 - scores.ours / scores.table)).toFixed(0)} % better); wanted 25 %`,
  );
}
