import { useCallback, useMemo } from 'react';
import type { State } from '@core/ledger';
import { growing } from '@core/patch';
import type { CardRow } from '@core/rounds';
import { useDraft } from '../device/draft';
import { useGarden } from '../garden/garden';

interface Kept {
  readonly lines: readonly {
    readonly line: number;
    readonly flower: string;
    readonly fathers: CardRow['fathers'];
    readonly mark: string;
    readonly plant: string;
  }[];
}

const NOTHING: Kept = { lines: [] };

/** The card as it was last printed for a round: its lines still without an entry, under their printed numbers. */
export function usePrinted(round: string | null, state: State) {
  const { space } = useGarden();
  const { value, change } = useDraft<Kept>(`card/${space}/${round ?? 'none'}`, NOTHING);
  const remember = useCallback(
    (rows: readonly CardRow[]) =>
      change({
        lines: rows.map(({ line, stop, fathers, mark, plant }) => ({
          line,
          flower: stop.flower.id,
          fathers,
          mark,
          plant,
        })),
      }),
    [change],
  );
  const printed = useMemo(() => {
    if (value.lines.length === 0) return null;
    return value.lines.flatMap(({ line, flower: id, fathers, mark, plant }): CardRow[] => {
      const flower = state.flowers.get(id);
      const found = flower && growing(state, flower.plant);
      if (!flower || !found || flower.pollinations.length > 0 || flower.lost) return [];
      if (flower.checks.some(({ result }) => result !== 'not-open')) return [];
      return [
        {
          line,
          stop: { flower, growing: found, state: 'to-do', again: false },
          plant,
          node: flower.node,
          fathers,
          mark,
        },
      ];
    });
  }, [value, state]);
  return { printed, remember };
}
