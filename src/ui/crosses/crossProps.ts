import { closuresFor } from '@core/crops';
import type { CrossStand } from '@core/crosses';
import type { Draft } from '@core/ledger';
import type { Growing } from '@core/patch';

/** What every part of a stand's card is given. */
export interface CrossProps {
  readonly cross: CrossStand;
  readonly busy: boolean;
  readonly onSave: (...drafts: Draft[]) => void;
}

/** The bag of a perfect flower. */
export const bagOf = ({ crop }: Growing) => closuresFor(crop, 'perfect')[0] ?? 'mesh-bag';
