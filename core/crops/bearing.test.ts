import fc from 'fast-check';
import { bearing, catalogue, cropOf, DAYS_TO_FLOWER, flowersADay, malesToAFemale, middleOf } from '.';

test('a plant bears nothing before its first flower can be there, all of its share later, and never less for being older', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...catalogue),
      fc.integer({ min: 0, max: 150 }),
      fc.nat(40),
      (crop, days, more) => {
        expect(bearing(crop, days)).toBeLessThanOrEqual(bearing(crop, days + more));
        expect(bearing(crop, 110)).toBe(1);
      },
    ),
  );
  // Corn is sown where it stands: silk 55 to 80 days on, by kind.
  expect([54, 80].map((days) => bearing(cropOf('corn'), days))).toEqual([0, 1]);
  // A courgette sown in April stands three weeks in a pot: 40 days less 21 is the earliest.
  expect(bearing(cropOf('squash-pepo'), 18)).toBe(0);
  expect(bearing(cropOf('squash-pepo'), 20)).toBeGreaterThan(0);
  expect(flowersADay(cropOf('tomato'), 60)).toBe(middleOf(cropOf('tomato').femalesADay.value));
  for (const crop of catalogue)
    expect([crop.id, DAYS_TO_FLOWER[crop.id] === undefined]).toEqual([
      crop.id,
      crop.id === 'potato' || crop.family === 'strawberry',
    ]);
});

test('males to a female: more in cucumber, nothing to expect of a nearly all-female one or of a perfect flower', () => {
  expect(malesToAFemale(cropOf('squash-maxima'), null)?.value).toEqual([3, 12]);
  expect(malesToAFemale(cropOf('cucumber'), null)?.value).toEqual([10, 12]);
  expect(malesToAFemale(cropOf('cucumber'), 'gynoecious')).toBeNull();
  expect(malesToAFemale(cropOf('tomato'), null)).toBeNull();
});
