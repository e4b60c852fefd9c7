import { SUBJECT_FIELD, type EventKind, type LedgerEvent } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import { storyWords } from './storyWords';

/** One entry for each field that an entry of a flower can have. */
const FIELDS = {
  sex: 'female',
  stage: 'open',
  node: 3,
  closure: 'tape',
  colour: 'red',
  result: 'whole',
  why: 'other',
  fathers: [],
  purpose: 'seed',
  mark: '1-A',
  sizeMm: null,
  prop: 'sling',
  cause: 'heat',
  harvestFor: 'seed',
  weightG: null,
};

test('every entry of a flower is told in words', () => {
  const { state } = new TestGarden();
  const kinds = (Object.keys(SUBJECT_FIELD) as EventKind[]).filter(
    (kind) => SUBJECT_FIELD[kind] === 'flower',
  );
  for (const kind of kinds)
    expect(storyWords(state, { kind, ...FIELDS } as unknown as LedgerEvent)).not.toBe(kind);
});
