import { matchPollen, planRound, transport, type PlanRequest } from '../core/planning';
import { seededRandom } from '../core/random';
import { bruteForce, byRule, morning } from './mornings';

function timed<T>(work: () => T): { ms: number; result: T } {
  const from = performance.now();
  const result = work();
  return { ms: performance.now() - from, result };
}

const quantile = (values: readonly number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] as number;

function simulatedMornings(count: number): void {
  const all: number[] = [];
  const short: number[] = [];
  let ourSum = 0;
  let theirSum = 0;
  for (let seed = 1; seed <= count; seed++) {
    const request = morning(seed);
    const total = request.stops.reduce((sum, { value }) => sum + value, 0);
    const ours = planRound(request).value;
    const theirs = Math.max(byRule(request, 'walking'), byRule(request, 'nearest'));
    const ratio = theirs === 0 ? 1 : ours / theirs;
    all.push(ratio);
    // Time is short where the better rule leaves a fifth of the worth undone.
    if (theirs < 0.8 * total) {
      short.push(ratio);
      ourSum += ours;
      theirSum += theirs;
    }
  }
  console.log(
    `mornings: ${count}, time short on ${short.length}; ours against the better rule when short: mean ${(ourSum / theirSum).toFixed(3)}x, median ${quantile(short, 0.5).toFixed(3)}x; over all the least ${Math.min(...all).toFixed(4)}x, median ${quantile(all, 0.5).toFixed(3)}x`,
  );
}

function againstBruteForce(count: number): void {
  let within = 0;
  let worst = 1;
  for (let seed = 1; seed <= count; seed++) {
    const random = seededRandom(seed * 7919);
    const full = morning(seed + 5000, 12, 1);
    const works = full.stops.filter(({ kind }) => kind === 'work').slice(0, 5 + Math.floor(random() * 2));
    const needed = new Set(works.flatMap(({ needs }) => needs));
    const stops = [...full.stops.filter(({ id }) => needed.has(id)), ...works].slice(-9);
    const ids = new Set(stops.map(({ id }) => id));
    const fit: PlanRequest = {
      ...full,
      stops: stops.map((stop) => ({ ...stop, needs: stop.needs.filter((id) => ids.has(id)) })),
      deadline: (4 + random() * 14) * 60_000,
    };
    const best = bruteForce(fit);
    const ours = planRound(fit).value;
    const share = best === 0 ? 1 : ours / best;
    worst = Math.min(worst, share);
    if (share >= 0.99) within++;
  }
  console.log(
    `brute force: ${count} cases up to 9 stops, within 1 % in ${((100 * within) / count).toFixed(1)} %, worst ${worst.toFixed(3)}`,
  );
}

function sizes(most: number): void {
  for (const flowers of [1, 3, 8, 12, 60, 200].filter((each) => each <= most)) {
    const asked = morning(900 + flowers, flowers, 1 + (flowers % 2));
    const first = timed(() => planRound(asked));
    const mended = timed(() => planRound({ ...asked, startAt: 10 * 60_000, current: first.result.routes }));
    console.log(
      `${flowers} flowers: first plan ${first.ms.toFixed(0)} ms, mended in ${mended.ms.toFixed(0)} ms`,
    );
  }
  const big = morning(77, most, 2);
  const long: PlanRequest = { ...big, deadline: 240 * 60_000 };
  const first = timed(() => planRound(long));
  const mended = timed(() => planRound({ ...long, startAt: 20 * 60_000, current: first.result.routes }));
  console.log(
    `${most} flowers, 2 people: planned in ${first.ms.toFixed(0)} ms (${first.result.value.toFixed(0)} of ${long.stops.reduce((s, { value }) => s + value, 0).toFixed(0)}), mended in ${mended.ms.toFixed(0)} ms`,
  );
  const random = seededRandom(5);
  const females = Array.from({ length: 1.5 * most }, (_, i) => ({
    id: `f${i}`,
    plant: `p${i % 90}`,
    variety: `v${i % 3}`,
    value: 0.5 + random(),
    wants: 2 + (i % 3),
    purpose: 'seed' as const,
  }));
  for (const plants of [90, 900]) {
    const males = Array.from({ length: 4.5 * most }, (_, i) => ({
      id: `m${i}`,
      plant: `p${i % plants}`,
      variety: `v${i % 3}`,
      pure: random() > 0.05,
    }));
    const kin = new Map<string, number>();
    const { ms, result } = timed(() =>
      matchPollen({
        females,
        males,
        rules: {
          selfing: 'others-first',
          femalesPerMale: 1,
          kinship: (a, b) => {
            const key = `${a}/${b}`;
            let found = kin.get(key);
            if (found === undefined) kin.set(key, (found = random() < 0.3 ? 0.25 * random() : 0));
            return found;
          },
        },
      }),
    );
    console.log(
      `matching: ${females.length} females x ${males.length} males on ${plants} plants in ${ms.toFixed(0)} ms, ${result.pairs.length} pairs`,
    );
  }
  const cost = Array.from({ length: 4.5 * most }, () => females.map(() => random() * 100));
  const plain = timed(() =>
    transport({ capacity: cost.map(() => 1), need: females.map(({ wants }) => wants), cost }),
  );
  console.log(
    `transport: ${cost.length} x ${females.length} dense, ${plain.result.total} visits in ${plain.ms.toFixed(0)} ms`,
  );
}

/** Plans of so many mornings against simple rules, and how long plans of up to so many flowers take. */
export function benchRounds(mornings: number, most: number): void {
  simulatedMornings(mornings);
  againstBruteForce(mornings);
  sizes(most);
}
