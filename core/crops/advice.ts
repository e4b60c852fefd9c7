import type { Crop, Reason, Sex, Stage } from './types';

export interface StageAdvice {
  /** Whether this flower belongs in tonight's shutting. */
  readonly shutTonight: boolean;
  readonly words: string;
}

/**
 * What an evening walk does with a flower of this stage (common practice, domain table of stages). Purity asks
 * for a flower that was shut before it opened; a kitchen fruit does not.
 */
export function eveningAdvice(crop: Crop, sex: Sex, stage: Stage, reason: Reason): StageAdvice {
  const forSeed = reason !== 'fruit';
  const no = (words: string): StageAdvice => ({ shutTonight: false, words });
  switch (stage) {
    case 'pin':
      return no('Opens in three or four days: noted, nothing to do tonight.');
    case 'green':
      return no('Opens the day after tomorrow: look again tomorrow evening.');
    case 'coloured': {
      const when = crop.clock.round === 'dusk' ? 'at the next dusk' : 'tomorrow';
      if (!forSeed)
        return no(`Opens ${when}: come and pollinate it then. For the kitchen it needs no shutting.`);
      return { shutTonight: true, words: `Opens ${when}: shut it now, before any bee.` };
    }
    case 'open':
      if (!forSeed)
        return no(sex === 'female' ? 'Open: pollinate it now.' : 'Open: its pollen can be used now.');
      return no('Already open: bees may have been in it; fine for the kitchen, not for seed.');
    case 'spent':
      return no(sex === 'female' ? 'Over: see in a few days whether it swells.' : 'Over: nothing to do.');
  }
}
