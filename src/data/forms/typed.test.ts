import fc from 'fast-check';
import Joi from 'joi';
import { fieldSchema } from '@core/ledger';
import { groundPart } from './bedForm';
import {
  noMoreThan,
  notBefore,
  rangeWords,
  readTyped,
  typedNumber,
  typedOf,
  typedText,
  unitOf,
} from './typed';

const FEET = unitOf(0.3048, 'feet');
const one = (part: Joi.Schema, typed: unknown) => {
  const read = readTyped<{ it: unknown }>(Joi.object({ it: part }), { it: typed });
  return read.ok ? read.value.it : read.wrong.it;
};

describe('a number, typed', () => {
  test('both ends of the range that is named will do, and what lies past them will not', () => {
    const bounds = fc
      .tuple(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: 0, max: 5000 }))
      .map(([least, more]) => ({ least, most: least + more }));
    fc.assert(
      fc.property(bounds, fc.constantFrom(undefined, FEET), ({ least, most }, scale) => {
        const part = Joi.number().min(least).max(most).required();
        const words = rangeWords(part, scale);
        const [, low, high] = /from (-?\d+) to (-?\d+)$/.exec(words) ?? [];
        fc.pre(Number(low) <= Number(high));
        const read = (typed: number) =>
          one(typedNumber(part, 'it', { digits: 6, ...(scale ? { scale } : {}) }), String(typed));
        for (const end of [low, high]) expect(typeof read(Number(end))).toBe('number');
        for (const past of [Number(low) - 1, Number(high) + 1])
          expect(read(past)).toBe(`It must be ${words}`);
      }),
    );
  });

  test('what was not typed anew is not rounded to what was shown of it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 900, noNaN: true }), (stored) => {
        const shown = typedOf(stored, 1, FEET);
        const part = typedNumber(fieldSchema('bedAdded', 'lengthM'), 'the length', {
          scale: FEET,
          before: { typed: shown, stored },
        });
        expect(one(part, shown)).toBe(stored);
      }),
    );
  });

  test('a patch ends sooner than the ledger’s plan', () => {
    expect(rangeWords(groundPart('xM'))).toBe('a number from -1000 to 1000');
    expect(rangeWords(groundPart('lengthM'))).toBe('a number above 0, up to 1000');
  });

  test.each([
    ['bedAdded', 'lengthM', 'a number above 0, up to 1000'],
    ['fruitsPicked', 'count', 'a whole number from 1 to 100000'],
    ['shelterSet', 'lampHours', 'a number from 0 to 24'],
  ] as const)('%s, %s: %s', (kind, field, words) => {
    expect(rangeWords(fieldSchema(kind, field))).toBe(words);
  });

  test.each(['', ' ', 'four', '4 4', '1e999', 'NaN', '<b>4</b>', '{#label}', '٤'])(
    '%p is no number, and said to be none',
    (typed) => {
      expect(one(typedNumber(fieldSchema('fruitsPicked', 'count'), 'how many'), typed)).toBe(
        'How many must be a whole number from 1 to 100000',
      );
    },
  );

  test('left empty it is not said, where it need not be', () => {
    expect(one(typedNumber(fieldSchema('fruitsPicked', 'weightG'), 'the weight'), ' ')).toBeNull();
  });
});

describe('text, typed', () => {
  const name = typedText(fieldSchema('bedAdded', 'name'), 'a name for the bed');
  test.each([
    [' Gate bed ', 'Gate bed'],
    ['<b>{#label}</b>', '<b>{#label}</b>'],
    ['', 'Write a name for the bed'],
    ['x'.repeat(81), 'Write a name for the bed of at most 80 letters'],
    ['a\u202eb', 'Write a name for the bed without signs that cannot be seen'],
  ])('%p', (typed, read) => {
    expect(one(name, typed)).toBe(read);
  });
});

describe('two fields together', () => {
  const schema = Joi.object({
    from: Joi.string().allow(null),
    to: notBefore(Joi.string().allow(null), 'from'),
    worked: typedNumber(fieldSchema('groupCounted', 'worked'), 'the flowers'),
    set: noMoreThan(typedNumber(fieldSchema('groupCounted', 'set'), 'how many set'), 'worked', 'too many'),
  });
  const good = { from: '2026-07-01', to: '2026-07-01', worked: '9', set: '9' };
  test.each([
    [{}, {}],
    [{ from: null }, {}],
    [{ to: '2026-06-30' }, { to: 'That is before the first day' }],
    // By value, not letter by letter.
    [{ set: '10' }, { set: 'too many' }],
    [{ worked: '10', set: '9' }, {}],
    [{ worked: 'some', set: '3' }, { worked: 'The flowers must be a whole number from 1 to 100000' }],
  ])('%p', (change, wrong) => {
    const read = readTyped(schema, { ...good, ...change });
    expect(read.ok ? {} : read.wrong).toEqual(wrong);
  });
});
