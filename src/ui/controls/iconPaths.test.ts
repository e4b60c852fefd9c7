import * as mdi from '@mdi/js';
import * as ours from './iconPaths';

test('the copied signs are those of the package', () => {
  expect(Object.keys(ours).length).toBeGreaterThan(5);
  for (const [name, path] of Object.entries(ours))
    expect([name, path]).toEqual([name, (mdi as Record<string, string>)[name]]);
});
