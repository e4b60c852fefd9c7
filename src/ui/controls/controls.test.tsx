import { fireEvent, render, screen } from '@testing-library/react-native';
import { countSet } from '@core/fruitset';
import { SetChart, setRow } from '../charts/SetChart';
import { ControlsTheme, LightProvider } from '../theme';
import { Field, Button, Notice, Stepper, Tile } from '.';
import type { ReactElement } from 'react';

const shown = (element: ReactElement) =>
  render(
    <ControlsTheme>
      <LightProvider light="day">{element}</LightProvider>
    </ControlsTheme>,
  );

test('a key says what it does and does it once', () => {
  const pressed = jest.fn();
  shown(<Button title="Shut 6 flowers" onPress={pressed} />);
  fireEvent.press(screen.getByText('Shut 6 flowers'));
  expect(pressed).toHaveBeenCalledTimes(1);
});

test('a key that is not to be pressed is not', () => {
  const pressed = jest.fn();
  shown(<Button title="Next" onPress={pressed} disabled />);
  fireEvent.press(screen.getByText('Next'));
  expect(pressed).not.toHaveBeenCalled();
});

test('a chosen tile says so to a screen reader', () => {
  shown(<Tile title="torn" chosen onPress={() => undefined} />);
  expect(screen.getByLabelText('torn').props['aria-pressed']).toBe(true);
});

test('a stepper starts at the suggestion while nothing is given, then goes one by one within its bounds', () => {
  const changed = jest.fn();
  const view = shown(<Stepper label="Node" value={12} unset least={0} most={13} onChange={changed} />);
  expect(screen.getByText('–')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Node: one more'));
  expect(changed).toHaveBeenLastCalledWith(12);
  view.unmount();
  shown(<Stepper label="Node" value={13} least={0} most={13} onChange={changed} />);
  fireEvent.press(screen.getByLabelText('Node: one more'));
  expect(changed).toHaveBeenCalledTimes(1);
  fireEvent.press(screen.getByLabelText('Node: one less'));
  expect(changed).toHaveBeenLastCalledWith(12);
});

test('a field shows what is wrong with it', () => {
  shown(
    <Field label="Latitude" value="north" onChange={() => undefined} error="Latitude must be a number" />,
  );
  expect(screen.getByText('Latitude must be a number')).toBeTruthy();
});

test('trouble is announced', () => {
  shown(<Notice tone="brick" text="Not saved" />);
  expect(screen.getByText('Not saved')).toBeTruthy();
  expect(screen.UNSAFE_getByProps({ role: 'alert' })).toBeTruthy();
});

test('the chart can be read without seeing it', () => {
  const nothing = countSet([], '2026-07-14');
  const some = {
    ...nothing,
    worked: 5,
    set: 3,
    dropped: 1,
    waiting: 1,
    share: 0.75,
    interval: { low: 0.3, high: 0.95 },
  };
  shown(<SetChart rows={[setRow('this plant', some), setRow('others', nothing)]} />);
  expect(screen.getByLabelText('this plant: 3 of 4 set, 75 percent, between 30 and 95')).toBeTruthy();
  expect(screen.getByLabelText('others: no verdict yet')).toBeTruthy();
  expect(screen.getByText('3 of 4')).toBeTruthy();
});
