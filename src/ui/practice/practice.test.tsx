import { render, screen } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { bloomOutlook } from '@core/bloom';
import { fold } from '@core/ledger';
import { confusions, makeQuestion, skillResults } from '@core/practice';
import { seededRandom } from '@core/random';
import { demoLog, practiceHistory } from '@core/simulation';
import { OutlookChart } from '../charts/OutlookChart';
import { SkillChart } from '../charts/SkillChart';
import { ControlsTheme, LightProvider } from '../theme';
import { ConfusionTable } from './ConfusionTable';
import { SpecimenView } from './SpecimenView';

const shown = (element: ReactElement) =>
  render(
    <ControlsTheme>
      <LightProvider light="day">{element}</LightProvider>
    </ControlsTheme>,
  );

test('a drawn question can be heard: the drawing says what shows, not what it is', () => {
  const question = makeQuestion('sex', 'squash-maxima', seededRandom(4), 0.2);
  shown(<SpecimenView question={question} inWords={false} chosen={null} />);
  const words = question.described[0] ?? '';
  expect(screen.getByLabelText(words)).toBeTruthy();
  expect(words).not.toMatch(/\bmale\b|\bfemale\b/);
});

test('in words there is no drawing, and every specimen is told', () => {
  const question = makeQuestion('mother-bud', 'tomato', seededRandom(4));
  shown(<SpecimenView question={question} inWords chosen={null} />);
  expect(screen.queryByRole('img')).toBeNull();
  for (const i of [1, 2, 3]) expect(screen.getByText(new RegExp(`^Number ${i}\\.`))).toBeTruthy();
});

test('results and confusions can be read without seeing the bars', () => {
  const history = practiceHistory(6);
  const results = skillResults(history);
  const stage = results.find(({ skill }) => skill === 'stage');
  shown(<SkillChart results={results} />);
  expect(
    screen.getByLabelText(new RegExp(`^how far on: ${stage?.right} of ${stage?.asked} right, between`)),
  ).toBeTruthy();
  expect(screen.getByLabelText('the mother bud: not asked yet')).toBeTruthy();
});

test('what is taken for what is a sentence; nobody wrong is said too', () => {
  const view = shown(<ConfusionTable rows={confusions(practiceHistory(6)).slice(0, 3)} />);
  expect(screen.getAllByText(/taken for/).length).toBe(3);
  view.unmount();
  shown(<ConfusionTable rows={[]} />);
  expect(screen.getByText('No mistake yet.')).toBeTruthy();
});

test('the outlook says its ranges in words', () => {
  const outlook = bloomOutlook({ state: fold(demoLog()), zone: 'Europe/Ljubljana', from: '2026-07-14' });
  const halyard = outlook.find(({ name }) => name === 'Long Halyard');
  shown(<OutlookChart name="Long Halyard" days={halyard?.days ?? []} />);
  expect(screen.getByLabelText(/^Long Halyard: Tue 14 3–4 female, \d+–\d+ male; Wed 15/)).toBeTruthy();
});
