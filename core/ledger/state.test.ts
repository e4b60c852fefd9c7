import fc from 'fast-check';
import { SNAPSHOT_VERSION } from './snapshot';
import { arbitraryLog, shuffled } from '../testing';
import {
  apply,
  emptyState,
  eventsOf,
  fold,
  inForce,
  merge,
  resume,
  freeze,
  standings,
  validateEvent,
  type AnyEvent,
  type LedgerEvent,
  type State,
} from '.';

/** What a screen can see of a state, as plain data in a fixed order. */
const seen = (state: State) => ({
  flowers: [...state.flowers].sort(([a], [b]) => (a < b ? -1 : 1)),
  plants: [...state.plants].sort(([a], [b]) => (a < b ? -1 : 1)),
  flowersOf: [...state.flowersOf].sort(([a], [b]) => (a < b ? -1 : 1)),
  unknown: [...state.unknown.keys()].sort(),
  count: state.count,
});
const whole = (state: State) => ({ ...seen(state), events: eventsOf(state) });

test('a shuffle hangs on its seed, so that "any order" tries many', () => {
  const orders = new Set(Array.from({ length: 20 }, (_, seed) => shuffled([1, 2, 3, 4, 5, 6], seed).join()));
  expect(orders.size).toBeGreaterThan(15);
});

test('every made-up event of these properties is one that the ledger accepts', () => {
  fc.assert(fc.property(arbitraryLog, (log) => log.every((event) => validateEvent(event).ok)));
});

describe('merge', () => {
  test('is commutative, associative and idempotent', () => {
    fc.assert(
      fc.property(arbitraryLog, arbitraryLog, arbitraryLog, (a, b, c) => {
        expect(merge(a, b)).toEqual(merge(b, a));
        expect(merge(merge(a, b), c)).toEqual(merge(a, merge(b, c)));
        expect(merge(a, a)).toEqual(merge(a, []));
        expect(merge(merge(a, b), b)).toEqual(merge(a, b));
      }),
    );
  });

  test('phones that meet in any order, any number of times, see the same', () => {
    fc.assert(
      fc.property(arbitraryLog, arbitraryLog, fc.nat(), (a, b, seed) => {
        const once = whole(fold(merge(a, b)));
        expect(whole(fold(merge(b, a)))).toEqual(once);
        expect(whole(fold([...shuffled(b, seed), ...shuffled(a, seed), ...b]))).toEqual(once);
      }),
    );
  });
});

describe('fold', () => {
  test('one event at a time gives what the whole log gives, in any order', () => {
    fc.assert(
      fc.property(arbitraryLog, fc.nat(), (log, seed) => {
        expect(whole(shuffled(log, seed).reduce(apply, emptyState()))).toEqual(whole(fold(log)));
      }),
    );
  });

  test('apply leaves the old state as it was', () => {
    fc.assert(
      fc.property(arbitraryLog, (log) => {
        const before = fold(log.slice(0, -1));
        const copy = JSON.stringify(whole(before));
        const last = log[log.length - 1];
        if (last) apply(before, last);
        expect(JSON.stringify(whole(before))).toBe(copy);
      }),
    );
  });

  test('an unknown kind is kept, never dropped', () => {
    fc.assert(
      fc.property(arbitraryLog, (log) => {
        expect(
          eventsOf(fold(log))
            .map(({ id }) => id)
            .sort(),
        ).toEqual(log.map(({ id }) => id).sort());
      }),
    );
  });
});

describe('snapshot', () => {
  test('snapshot and tail give the full fold, or say that they cannot', () => {
    let resumed = 0;
    fc.assert(
      fc.property(arbitraryLog, fc.nat(30), fc.boolean(), (log, cut, sealing) => {
        const head = log.slice(0, cut);
        const tail = log.slice(cut);
        const { head: text, fresh } = freeze(fold(head), {
          sealBefore: sealing ? '2026-07-03T00:00:00.000Z' : '',
          partSize: 2,
        });
        const result = resume(JSON.parse(text), tail, (key) => fresh.get(key));
        if (result.ok) {
          resumed++;
          expect(seen(result.state)).toEqual(seen(fold(log)));
        } else expect(result.reason).toBe('sealed');
      }),
    );
    expect(resumed).toBeGreaterThan(20);
  });

  test.each([
    ['nothing', null, 'broken'],
    ['another version', { version: 99 }, 'version'],
    ['a damaged one', { version: SNAPSHOT_VERSION, tables: null }, 'broken'],
  ])('%s is thrown away', (_name, value, reason) => {
    expect(resume(value, [])).toEqual({ ok: false, reason });
  });
});

describe('a change of mind', () => {
  const base = {
    v: 1,
    by: 'Oda',
    device: 'test',
    flower: 'flower:01J00000000000000000000001',
    plant: 'plant:01J00000000000000000000001',
  };
  const at = (minute: number) => `2026-07-01T05:${String(minute).padStart(2, '0')}:00.000Z`;
  const id = (n: number) => `01J000000000000000000000${String(n).padStart(2, '0')}`;
  const sighting: AnyEvent = {
    ...base,
    id: id(1),
    at: at(1),
    kind: 'flowerSeen',
    sex: 'female',
    stage: 'coloured',
    node: 4,
  };
  const shutting: AnyEvent = {
    ...base,
    id: id(2),
    at: at(2),
    kind: 'flowerShut',
    closure: 'tape',
  } as unknown as AnyEvent;
  const withdraw = (n: number, target: string): AnyEvent => ({
    v: 1,
    by: 'Oda',
    device: 'test',
    id: id(n),
    at: at(n),
    kind: 'withdrawn',
    subject: base.flower,
    target,
  });
  const flower = (log: AnyEvent[]) => fold(log).flowers.get(base.flower);

  test('a withdrawn fact is out of force, whenever its withdrawal arrives', () => {
    expect(flower([sighting, shutting, withdraw(3, id(2))])?.shuttings).toEqual([]);
    expect(flower([withdraw(3, id(2)), sighting, shutting])?.shuttings).toEqual([]);
  });

  test('withdrawing the withdrawal brings it back; once more takes it out again', () => {
    const twice = [sighting, shutting, withdraw(3, id(2)), withdraw(4, id(3))];
    expect(flower(twice)?.shuttings).toHaveLength(1);
    expect(flower([...twice, withdraw(5, id(4))])?.shuttings).toHaveLength(0);
  });

  test('recording a withdrawn event again changes nothing', () => {
    expect(flower([sighting, shutting, withdraw(3, id(2)), shutting])?.shuttings).toEqual([]);
  });

  test('two withdrawals that name each other make no circle', () => {
    const circle = [sighting, shutting, withdraw(3, id(4)), withdraw(4, id(3)), withdraw(5, id(2))];
    expect(flower(circle)?.shuttings).toEqual([]);
  });

  test('a correction shows the new value and keeps the old one on record', () => {
    const correction: AnyEvent = {
      v: 1,
      by: 'Oda',
      device: 'test',
      id: id(6),
      at: at(6),
      kind: 'corrected',
      subject: base.flower,
      target: id(1),
      changes: { node: 9 },
    };
    expect(flower([sighting, correction])?.node).toBe(9);
    const story = standings([sighting, correction] as LedgerEvent[])[0];
    expect(story?.original).toEqual(sighting);
    expect(story?.corrections).toHaveLength(1);
    expect(flower([sighting, correction, withdraw(7, id(6))])?.node).toBe(4);
  });

  test('a correction that would break the event, or move it to another flower, is passed over', () => {
    for (const changes of [
      { node: -3 },
      { flower: 'flower:01J00000000000000000000002' },
      { kind: 'lost' },
      { id: id(9) },
    ]) {
      const correction: AnyEvent = {
        v: 1,
        by: 'Oda',
        device: 'test',
        id: id(6),
        at: at(6),
        kind: 'corrected',
        subject: base.flower,
        target: id(1),
        changes,
      };
      expect(flower([sighting, correction])?.node).toBe(4);
    }
  });

  test('a chain of ten thousand withdrawals is worked through', () => {
    const long = Array.from({ length: 10_000 }, () => withdraw(3, id(2))).map((event, i) => ({
      ...event,
      id: `01J0000000000000000001${String(i).padStart(4, '0')}`,
      target: i === 0 ? id(2) : `01J0000000000000000001${String(i - 1).padStart(4, '0')}`,
    })) as LedgerEvent[];
    expect(
      inForce([sighting as LedgerEvent, shutting as LedgerEvent, ...long]).map(({ kind }) => kind),
    ).toEqual(['flowerSeen', 'flowerShut']);
  });
});
