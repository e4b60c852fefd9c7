import { act, render, screen } from '@testing-library/react-native';
import fc from 'fast-check';
import { Text } from 'react-native';
import { HOLD_MS, InOrder, orderOf, type Part } from './InOrder';

const part = (key: string, ready = true): Part => ({ key, ready, node: <Text>{key}</Text> });
const texts = () => screen.queryAllByText(/./).map((each) => String(each.props.children));

test('what stands after a late part waits for it, and then all stand in their order', () => {
  const { rerender } = render(<InOrder parts={[part('round'), part('tonight', false), part('weather')]} />);
  expect(texts()).toEqual(['round']);
  rerender(<InOrder parts={[part('round'), part('tonight'), part('weather')]} />);
  expect(texts()).toEqual(['round', 'tonight', 'weather']);
});

test('what comes later still goes below what is there by then', () => {
  jest.useFakeTimers();
  const { rerender } = render(<InOrder parts={[part('round'), part('tonight', false), part('weather')]} />);
  act(() => jest.advanceTimersByTime(HOLD_MS));
  expect(texts()).toEqual(['round', 'weather']);
  rerender(<InOrder parts={[part('round'), part('tonight'), part('weather')]} />);
  expect(texts()).toEqual(['round', 'weather', 'tonight']);
  jest.useRealTimers();
});

test('whatever becomes ready when, nothing that stood is moved down, and in the end all stand', () => {
  const step = fc.record({ ready: fc.subarray(['a', 'b', 'c', 'd', 'e']), over: fc.boolean() });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 6 }), (steps) => {
      let shown: readonly string[] = [];
      const ready = new Set<string>();
      const parts = () => ['a', 'b', 'c', 'd', 'e'].map((key) => ({ key, ready: ready.has(key) }));
      for (const each of steps) {
        for (const key of each.ready) ready.add(key);
        const next = orderOf(parts(), shown, each.over);
        expect(next.slice(0, shown.length)).toEqual(shown);
        shown = next;
      }
      for (const key of 'abcde') ready.add(key);
      expect([...orderOf(parts(), shown, false)].sort()).toEqual(['a', 'b', 'c', 'd', 'e']);
    }),
  );
});
