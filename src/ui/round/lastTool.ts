import type { Crop, Tool } from '@core/crops';
import type { State } from '@core/ledger';
import { growing } from '@core/patch';

/** The tool of this crop's latest pollination. */
export function lastTool(state: State, crop: Crop): Tool {
  let latest: { at: string; tool: Tool } | null = null;
  for (const { pollinations, plant } of state.flowers.values()) {
    const last = pollinations[pollinations.length - 1];
    if (!last || (latest && last.at <= latest.at)) continue;
    if (growing(state, plant)?.crop.id === crop.id) latest = last;
  }
  return latest?.tool ?? crop.tools[0] ?? 'male-flower';
}
