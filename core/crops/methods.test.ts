import { catalogue, cropOf, hasCone, hasTrusses, kitchenStep, TOOLS } from '.';
import { workSteps } from '../rounds';

test('a cone of anthers is tomato’s and potato’s; trusses are not counted on peppers and aubergines', () => {
  expect(catalogue.filter(hasCone).map(({ id }) => id)).toEqual(['tomato', 'potato']);
  expect(catalogue.filter(hasTrusses).map(({ id }) => id)).toEqual([
    'tomato',
    'potato',
    'strawberry',
    'alpine-strawberry',
  ]);
  for (const crop of catalogue) if (!hasCone(crop)) expect(crop.tools).not.toContain('anthers');
});

test('peppers and aubergines are shaken or dabbed, and nothing is said of trusses and puffs', () => {
  for (const id of ['pepper', 'aubergine'] as const) {
    expect(cropOf(id).tools.slice(0, 2)).toEqual(['shaking', 'swab']);
    for (const tool of TOOLS) expect(kitchenStep(cropOf(id), tool)).not.toMatch(/truss|puff/);
  }
  expect(kitchenStep(cropOf('tomato'), 'vibration')).toMatch(/truss.*puff/);
});

test('whatever carries pollen on its tip is looked at for it, and damp it is changed', () => {
  for (const tool of ['brush', 'swab'] as const)
    expect(workSteps(cropOf('squash-pepo'), tool, 'tape')[0]).toMatch(/see pollen on it.*Damp\?/);
  expect(workSteps(cropOf('squash-pepo'), 'finger', 'tape')[0]).toContain('see pollen on it');
  expect(workSteps(cropOf('pepper'), 'brush', 'mesh-bag')[0]).toContain('see it on the tip');
});
