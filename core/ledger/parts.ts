import { remembered } from '../remember';
import type { Flower } from './flowerViews';
import { LatePart } from './latePart';

/** Some hundred flowers of the state, that stay together. */
export type FlowerPart = ReadonlyMap<unknown, Flower>;

interface Saying {
  readonly name: string;
  readonly say: (part: FlowerPart) => unknown;
  readonly keptFrom: (said: unknown) => string;
}
const sayings: Saying[] = [];

/**
 * What some hundred flowers say together, worked out once for as long as none of them changes. It is kept with the snapshot, so that
 * flowers of bygone years need not be read for it: the answer must be plain data. `keptFrom` gives the instant of the latest thing that it
 * speaks of, for what is soon too old to be asked for; without it every part keeps its answer.
 */
export function ofPart<Said>(
  name: string,
  work: (part: FlowerPart) => Said,
  keptFrom: (said: Said) => string = () => '~',
): (part: FlowerPart) => Said {
  const worked = remembered(
    name,
    (part: FlowerPart) => ({ part }),
    ({ part }) => work(part),
  );
  const say = (part: FlowerPart): Said =>
    part instanceof LatePart && name in part.head.said ? (part.head.said[name] as Said) : worked(part);
  sayings.push({ name, say, keptFrom: keptFrom as Saying['keptFrom'] });
  return say;
}

/** All that is kept of a part; what speaks of nothing since `from` is left out, and read from the flowers should it be asked for. */
export function saidOf(part: FlowerPart, from: string): Record<string, unknown> {
  const said: Record<string, unknown> = {};
  for (const { name, say, keptFrom } of sayings) {
    const answer = say(part);
    if (keptFrom(answer) >= from) said[name] = answer;
  }
  return said;
}
