import { act, renderHook } from '@testing-library/react-native';
import { useHold } from './useHold';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('a held key steps at once, then on and on, faster after ten, and stops when it is let go', () => {
  const step = jest.fn();
  const { result } = renderHook(() => useHold(step));
  act(() => result.current?.onLongPress());
  expect(step).toHaveBeenCalledTimes(1);
  act(() => void jest.advanceTimersByTime(1200));
  expect(step).toHaveBeenCalledTimes(11);
  act(() => void jest.advanceTimersByTime(450));
  expect(step.mock.calls.length).toBeGreaterThan(18);
  const reached = step.mock.calls.length;
  act(() => result.current?.onPressOut());
  act(() => void jest.advanceTimersByTime(5000));
  expect(step).toHaveBeenCalledTimes(reached);
});

test('a key that goes away while it is held stops', () => {
  const step = jest.fn();
  const { result, unmount } = renderHook(() => useHold(step));
  act(() => result.current?.onLongPress());
  unmount();
  act(() => void jest.advanceTimersByTime(5000));
  expect(step).toHaveBeenCalledTimes(1);
});

test('without a step a key does not run', () => {
  expect(renderHook(() => useHold(undefined)).result.current).toBeNull();
});

test('a key that reaches its bound while it is held stops, though nobody let go', () => {
  const step = jest.fn();
  const { result, rerender } = renderHook<
    ReturnType<typeof useHold>,
    { readonly of: (() => void) | undefined }
  >(({ of }) => useHold(of), { initialProps: { of: step } });
  act(() => result.current?.onLongPress());
  rerender({ of: undefined });
  act(() => void jest.advanceTimersByTime(5000));
  rerender({ of: step });
  act(() => void jest.advanceTimersByTime(5000));
  expect(step).toHaveBeenCalledTimes(1);
});
