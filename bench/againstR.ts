import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { kaplanMeier, logisticRegression, logRank, type Followed } from '../core/fruitset';
import { seededRandom } from '../core/random';
import { bestOf } from './core';

const R_SCRIPT = (runs: number) => `
d <- read.csv('fruits.csv'); library(survival)
best <- function(f) min(sapply(1:${runs}, function(i) system.time(f())[['elapsed']])) * 1000
km <- best(function() summary(survfit(Surv(time, event) ~ 1, data = d, conf.type = 'log-log')))
lr <- best(function() survdiff(Surv(time, event) ~ group, data = d))
lg <- best(function() glm(event ~ a + b + c + d + e + f, family = binomial, data = d))
cat(km, lr, lg)
`;

/** Times the statistics on so many fruits beside R's on the very same ones. Without R, ours alone. */
export function benchAgainstR(fruits: number, runs = 3): void {
  const random = seededRandom(11);
  const names = ['a', 'b', 'c', 'd', 'e', 'f'] as const;
  const rows = Array.from({ length: fruits }, () => {
    const covariates = names.map(() => Math.round((random() - 0.5) * 2000) / 1000);
    const odds = -0.2 + 0.8 * (covariates[0] as number) - 0.5 * (covariates[3] as number);
    const event = random() < 1 / (1 + Math.exp(-odds));
    return { time: 1 + Math.floor(random() * 20), event, group: Math.floor(random() * 10), covariates };
  });
  const groups = Array.from({ length: 10 }, (_, g) => rows.filter(({ group }) => group === g) as Followed[]);
  const trials = rows.map(({ event, covariates }) => ({ successes: Number(event), trials: 1, covariates }));
  const ours = [
    bestOf(runs, () => kaplanMeier(rows, { confidence: 0.95 })),
    bestOf(runs, () => logRank(groups)),
    bestOf(runs, () => logisticRegression(trials)),
  ];
  const theirs = timesOfR(
    [
      ['time', 'event', 'group', ...names].join(','),
      ...rows.map(({ time, event, group, covariates }) =>
        [time, Number(event), group, ...covariates].join(','),
      ),
    ].join('\n'),
    runs,
  );
  console.log(
    `statistics of ${fruits} fruits, ms (best of ${runs})${theirs ? '' : '; R is not here to compare with'}`,
  );
  for (const [i, what] of [
    'Kaplan-Meier',
    'log-rank, 10 groups',
    'logistic regression, 6 covariates',
  ].entries()) {
    const r = theirs?.[i];
    const ratio =
      r === undefined ? '' : `, R ${r.toFixed(0)}: ${(r / (ours[i] as number)).toFixed(1)} times as long`;
    console.log(`  ${what}: ${(ours[i] as number).toFixed(1)}${ratio}`);
  }
}

function timesOfR(csv: string, runs: number): number[] | null {
  const folder = mkdtempSync(join(tmpdir(), 'fruits-'));
  try {
    writeFileSync(join(folder, 'fruits.csv'), csv);
    const said = execFileSync('Rscript', ['-e', R_SCRIPT(runs)], {
      cwd: folder,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    return said.trim().split(/\s+/).map(Number);
  } catch {
    return null;
  } finally {
    rmSync(folder, { recursive: true });
  }
}
