/** Where things stand on a runner drawing, in its own units. */
export interface RunnerNode {
  readonly x: number;
  readonly y: number;
  readonly node: number | null;
}

export interface RunnerPlan {
  readonly width: number;
  readonly height: number;
  readonly stem: string;
  readonly nodes: readonly RunnerNode[];
}

export const RUNNER = {
  step: 46,
  height: 190,
  middle: 104,
  flowerUp: 82,
  flowerDown: 54,
  margin: 30,
} as const;

/**
 * The stem as a gentle wave from root (left) to tip, a place for each entry. Entries without a node stand at
 * the end, in the order given. Pure numbers, no drawing.
 */
export function runnerPlan(nodes: readonly (number | null)[]): RunnerPlan {
  const sorted = [...nodes].sort((a, b) => (a ?? Infinity) - (b ?? Infinity));
  const placed = sorted.map((node, i) => ({
    node,
    x: RUNNER.margin + (i + 0.5) * RUNNER.step,
    y: RUNNER.middle + Math.sin(i * 0.9) * 7,
  }));
  const width = RUNNER.margin * 2 + Math.max(1, placed.length) * RUNNER.step;
  const first = `M${RUNNER.margin - 22} ${RUNNER.middle + 10}`;
  const curve = placed.map(({ x, y }, i) => {
    const before = placed[i - 1] ?? { x: RUNNER.margin - 22, y: RUNNER.middle + 10 };
    const half = (x + before.x) / 2;
    return `C${half.toFixed(1)} ${before.y.toFixed(1)} ${half.toFixed(1)} ${y.toFixed(1)} ${x.toFixed(1)} ${y.toFixed(1)}`;
  });
  const last = placed[placed.length - 1];
  const tip = last ? `q14 -6 ${RUNNER.margin - 8} -14` : `h${width - RUNNER.margin}`;
  return { width, height: RUNNER.height, stem: `${first} ${curve.join(' ')} ${tip}`, nodes: placed };
}
