import { Platform } from 'react-native';

/**
 * A size of type that follows the browser's own, as 16 is to a size of 16: who set larger letters there gets them here.
 * React Native's types know numbers alone; on the web it hands lengths on as they are.
 */
export const rem = (size: number): number =>
  Platform.OS === 'web' ? (`${size / 16}rem` as unknown as number) : size;

/** How many times the usual size letters are in this browser: for what has to know its height in pixels beforehand. */
export const rootScale = (): number =>
  Platform.OS === 'web' ? parseFloat(getComputedStyle(document.documentElement).fontSize) / 16 || 1 : 1;
