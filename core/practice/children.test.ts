import { catalogue, cropOf, hasRounds, sexesOf } from '../crops';
import { childrensFinds } from '.';

test('each crop that is worked by hand gives children something to find, drawn with a flower that it has', () => {
  for (const crop of catalogue.filter(hasRounds)) {
    const finds = childrensFinds([crop]);
    expect([crop.id, finds.length > 1]).toEqual([crop.id, true]);
    for (const { sex, ask, learned } of finds) {
      expect(sexesOf(crop)).toContain(sex);
      expect(ask.length).toBeLessThan(70);
      expect(learned).toMatch(/\.$/);
    }
  }
});

test('a mixed patch asks for each thing once', () => {
  const keys = childrensFinds([cropOf('squash-pepo'), cropOf('melon'), cropOf('corn'), cropOf('tomato')]).map(
    ({ key }) => key,
  );
  expect(new Set(keys).size).toBe(keys.length);
  expect(keys).toEqual(expect.arrayContaining(['female', 'tassel', 'young-fruit']));
});

test('no plants, nothing to find', () => expect(childrensFinds([])).toEqual([]));
