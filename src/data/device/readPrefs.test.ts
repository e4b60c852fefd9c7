import { readPrefs } from './readPrefs';

afterEach(() => jest.restoreAllMocks());

test('what was chosen comes back, and the region is not asked for again', () => {
  const { prefs, isNew } = readPrefs(null);
  expect(isNew).toBe(true);
  const chosen = { ...prefs, units: 'us', clock: '12', by: 'Ada', space: 'own' } as const;
  const asked = jest.spyOn(Intl, 'DateTimeFormat');
  expect(readPrefs(JSON.stringify(chosen))).toEqual({ prefs: chosen, isNew: false });
  expect(asked).not.toHaveBeenCalled();
});

test.each(['', 'null', '[]', '7', '{"units":', '"text"'])('%p in storage is no loss', (text) => {
  const { prefs, isNew } = readPrefs(text);
  expect(isNew).toBe(true);
  expect(prefs).toMatchObject({ light: 'by-itself', space: null, by: '' });
  expect(prefs.device).toMatch(/^device-\d+-\d+$/);
});

test('choices kept by an older version get what is usual for the rest', () => {
  const { prefs, isNew } = readPrefs('{"device":"device-1-2","space":"demo"}');
  expect(isNew).toBe(false);
  expect(prefs).toMatchObject({ device: 'device-1-2', space: 'demo', team: 'as-it-comes' });
});
