import { mustBe, TrowelError } from './errors';

test('a refusal names who was asked, the field, the rule and what came', () => {
  const error = mustBe('pollinationsNeeded', 'fruitsWanted', 'a whole number, 0 or more', -1);
  expect(error).toBeInstanceOf(TrowelError);
  expect(error).toMatchObject({ reason: 'fruitsWanted', field: 'fruitsWanted', name: 'TrowelError' });
  expect(error.message).toBe('pollinationsNeeded: fruitsWanted must be a whole number, 0 or more; got -1');
});
