import { render, screen } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { weatherSeries, simulatedStation } from '@core/sky';
import { ControlsTheme, LightProvider } from '../theme';
import { tapeText, rangeText } from '../words';
import { WeatherChart } from './WeatherChart';
import { Steps } from '../Steps';

const shown = (element: ReactElement) =>
  render(
    <ControlsTheme>
      <LightProvider light="day">{element}</LightProvider>
    </ControlsTheme>,
  );

test('the weather can be heard: each day with its numbers, rain and origin', () => {
  const place = { latitude: 46.2, longitude: 14.6, zone: 'Europe/Ljubljana' };
  const station = simulatedStation(place, Date.parse('2026-07-14T03:05:00Z'));
  const days = weatherSeries(place, '2026-07-09', 9, {}, station);
  shown(<WeatherChart days={days} today="2026-07-14" units="metric" />);
  const label = screen.getByLabelText(/Tuesday 14 July/).props['aria-label'] as string;
  expect(label.match(/day \d+ July: /g)).toHaveLength(9);
  expect(label).toMatch(/Thursday 9 July: .*usual for here/);
  expect(label).toMatch(/Tuesday 14 July: .*made-up station\)/);
  expect(label).toMatch(/Friday 17 July: .*forecast\)/);
});

test('steps are a list in order', () => {
  shown(<Steps steps={['Peel', 'Dab', 'Shut']} />);
  expect(
    screen.getAllByRole('listitem', { hidden: true }).map(({ props }) => [props.children].flat(9).join('')),
  ).toEqual(['1. Peel', '2. Dab', '3. Shut']);
});

test('lengths and ranges in the grower’s words', () => {
  expect([tapeText(96, 'metric'), tapeText(170, 'metric'), tapeText(96, 'us')]).toEqual([
    '96 cm',
    '1.7 m',
    '4 ft',
  ]);
  expect([rangeText([5, 10]), rangeText([25, 25])]).toEqual(['5 to 10', '25']);
});
