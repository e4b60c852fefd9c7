import type { RogueStage } from '@core/crops';

/** When a stand is looked over, in a heading. */
export const rogueWords: Readonly<Record<RogueStage, string>> = {
  seedling: 'as seedlings',
  'before-flower': 'before it flowers',
  fruit: 'with its first fruit',
};
