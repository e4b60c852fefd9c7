import { PracticeStore } from '../store';
import { deviceBox } from '../store/deviceBox';
import type { Space } from './prefs';

const stores = new Map<Space, PracticeStore>();

/** The practice records of a space; one store each, for screens and rescue alike. */
export function practiceStore(space: Space): PracticeStore {
  let store = stores.get(space);
  if (!store) {
    store = new PracticeStore(
      deviceBox(space === 'demo' ? 'steady-trowel-practice-demo' : 'steady-trowel-practice'),
    );
    stores.set(space, store);
  }
  return store;
}
