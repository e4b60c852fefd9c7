import { piece } from '../device/pieces';

/** For where there is no worker: hardly anywhere, so that no first screen waits for it. */
export const here = piece(() => import('./foretoldHere'));
