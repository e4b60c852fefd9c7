import type { FlowerId, LotId, PatchId, VarietyId } from '@core/ids';
import type { Draft, LotFrom } from '@core/ledger';

/** What the form of a lot holds. */
export interface LotForm {
  readonly variety: VarietyId | null;
  readonly from: LotFrom;
  readonly fruits: readonly FlowerId[];
  /** `null`: as it is usual for where it is from. */
  readonly year: number | null;
  readonly note: string;
}

/** The first thing that is wrong with a form, and in which field; `null`: nothing. */
export function wrongInLot({
  variety,
  from,
  fruits,
  note,
}: LotForm): { field: string; message: string } | null {
  if (variety === null) return { field: 'variety', message: 'Say which variety it is.' };
  if (from === 'fruits' && fruits.length === 0)
    return { field: 'fruits', message: 'Tick the fruits its seed was taken from, or say that nobody knows.' };
  if (note.length > 200) return { field: 'note', message: 'The note may have 200 characters.' };
  return null;
}

/** The year that is offered: own fruits ripened this one, what comes from elsewhere a year before. */
export const lotYear = ({ year, from }: LotForm, thisYear: number): number =>
  year ?? (from === 'fruits' ? thisYear : thisYear - 1);

/** The entry that begins a lot. */
export function lotDraft(lot: LotId, patch: PatchId, form: LotForm, thisYear: number): Draft {
  const { variety, from, fruits, note } = form;
  return {
    kind: 'lotBegun',
    lot,
    patch,
    variety: variety as VarietyId,
    from,
    fruits: from === 'fruits' ? fruits : [],
    year: lotYear(form, thisYear),
    note: note.trim(),
  };
}
