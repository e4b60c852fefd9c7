import { guideStep } from './guideStep';

const nothing = { picked: false, worked: false };

test('the guide says what is next from where one stands, and never what was done already', () => {
  expect(guideStep('/', nothing)?.title).toBe('This is dawn: do one flower');
  expect(guideStep('/round', nothing)?.title).toBe('First the males');
  expect(guideStep('/round', { picked: true, worked: false })?.title).toBe('Now one female');
  expect(guideStep('/round', { picked: true, worked: true })?.title).toBe('One flower done');
  expect(guideStep('/', { picked: true, worked: true })?.to?.path).toBe('/fruit');
});

test('who looks about elsewhere is left in peace', () => {
  for (const path of ['/settings', '/patch', '/practice/children'])
    expect(guideStep(path, nothing)).toBeNull();
});
