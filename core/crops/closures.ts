import { ours, practice, type Fact } from './facts';
import type { Closure } from './types';

/** A way of shutting a flower: what it takes and how it goes wrong. */
export interface ClosureFacts {
  /** Minutes to put it on one flower that has been found. */
  readonly minutes: Fact<number>;
  /** Tape for one closure, two turns and tabs; 0 = none. */
  readonly tapeCm: number;
  readonly tools: string;
  readonly failsWhen: Fact<string>;
}

const time = (minutes: number) => ours(minutes, 'found, shut, on; the log’s own times replace it in the sum');

const FACTS: Readonly<Record<Closure, ClosureFacts>> = {
  tape: {
    minutes: time(0.7),
    tapeCm: 12,
    tools: 'good tape at least 25 mm wide',
    failsWhen: practice(
      'A strong flower tears it open at dawn; insects get in under a loose top; rough hands snap the flower off.',
    ),
  },
  'mesh-bag': {
    minutes: time(0.5),
    tapeCm: 0,
    tools: 'drawstring bags of fine mesh',
    failsWhen: practice('Drawn too tight, or put on a flower that had already opened.'),
  },
  'cloth-bag': {
    minutes: time(0.8),
    tapeCm: 0,
    tools: 'cloth or paper bags, clips',
    failsWhen: practice('Rain, for paper; heat under the cloth.'),
  },
  tie: {
    minutes: time(0.5),
    tapeCm: 0,
    tools: 'bright twine, pegs for the males',
    failsWhen: practice(
      'Weaker proof: the flower was open to insects unless it was also shut the evening before.',
    ),
  },
  'shoot-bag': {
    minutes: time(0.6),
    tapeCm: 0,
    tools: 'shoot bags, a knife for the leaf',
    failsWhen: practice('Silk is already out; the growing shoot pushes the bag off.'),
  },
  'tassel-bag': {
    minutes: time(1),
    tapeCm: 0,
    tools: 'tassel bags, a stapler',
    failsWhen: practice('Rain and wind.'),
  },
};

/** How a closure is put on, what it needs, how long it takes and where it fails. */
export function closureFacts(closure: Closure): ClosureFacts {
  return FACTS[closure];
}
