import type { Sex, Stage } from '../crops';
import type { Answer } from './types';

/** An answer with the drawing of a flower that shows it. */
export const pictured = (
  id: string,
  words: string,
  sex: Sex,
  stage: Stage,
  view: 'side' | 'inside' = 'side',
): Answer => ({ id, words, picture: { sex, stage, view } });
