import { calibration } from '../core/simulation';

/** Prints what the range of the foreign share is worth. */
export function benchProof(): void {
  for (const diligence of ['all', 'three'] as const) {
    const start = performance.now();
    const { above, below, width } = calibration(diligence);
    console.log(
      `proof, 2000 lots, ${diligence === 'all' ? 'every link seen' : 'three links not recorded'}: truth above the range in ${(100 * above).toFixed(1)} % (wanted at most 5), below in ${(100 * below).toFixed(1)} % (at most 15); ${(100 * width).toFixed(1)} points wide on average (at most ${diligence === 'all' ? 3 : 15}); ${(performance.now() - start).toFixed(0)} ms`,
    );
  }
}
