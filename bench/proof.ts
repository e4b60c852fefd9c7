import { gradeProof, type ProofInput } from '../core/purity';
import { seededRandom } from '../core/random';
import { calibration, madeUpLot } from '../core/simulation';
import { proofReport } from '../core/simulation/proofReport';

const STANDS = 60;

/** Prints what the range of the foreign share is worth over so many lots, and how long it takes to grade so many fruits. */
export function benchProof(lots: number, fruits: number): void {
  for (const diligence of ['all', 'three'] as const) {
    const { above, below, width } = calibration(diligence, lots);
    console.log(
      `proof, ${lots} lots, ${diligence === 'all' ? 'every link seen' : 'three links not recorded'}: truth above the range in ${(100 * above).toFixed(1)} % (wanted at most 5), below in ${(100 * below).toFixed(1)} % (at most 15); ${(100 * width).toFixed(1)} points wide on average (at most ${diligence === 'all' ? 3 : 15})`,
    );
  }
  const random = seededRandom(5);
  let chains: ProofInput[] = [];
  while (chains.length < fruits) chains.push(...madeUpLot(random, 'three').fruits.map(({ chain }) => chain));
  // How much foreign pollen flies about depends on the stand.
  const { length } = chains;
  chains = chains.map((chain, i) => ({
    ...chain,
    pressure: chains[(i * 7) % Math.min(STANDS, length)]?.pressure ?? null,
  }));
  const start = performance.now();
  for (const chain of chains) gradeProof(chain);
  console.log(
    `  ${fruits} fruits of ${STANDS} stands graded in ${(performance.now() - start).toFixed(0)} ms (wanted under 300)`,
  );
}

/** Prints how the grader stands over so many gardens of each crop and each kind of person, in a world that shares no number with it. */
export function benchProofWorld(gardens: number): void {
  const reports = proofReport(gardens).sort((a, b) => (a.grown + a.grade < b.grown + b.grade ? -1 : 1));
  const fruits = reports.reduce((sum, report) => sum + report.fruits, 0);
  console.log(
    `proof, ${fruits} fruits of careful, hasty and forgetful people (wanted: at most 5 % of the lots above the range; likely over true 0.5 to 2):`,
  );
  for (const { grown, grade, lots, above, likely, truth } of reports)
    console.log(
      `  ${grown}, ${grade}, ${lots} lots: ${(100 * above).toFixed(1)} % above; likely ${(100 * likely).toFixed(2)} %, true ${(100 * truth).toFixed(2)} %: ${(likely / truth).toFixed(2)}`,
    );
}
