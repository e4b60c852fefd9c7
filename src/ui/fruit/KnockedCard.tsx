import type { Study } from '@core/study';
import { SetChart } from '../charts/SetChart';
import { Card } from '../controls';
import { Txt } from '../theme';

/** What fell by a hand, by whose: shown where several people work. */
export function KnockedCard({ study: { knocked } }: { study: Study }) {
  if (knocked.length < 2) return null;
  return (
    <Card>
      <Txt size="heading">Knocked off</Txt>
      <SetChart
        what="Share of worked flowers that were knocked off"
        verb="knocked off"
        rows={knocked.map(({ by, knocked: set, worked: judged, share, low, high }) => ({
          id: by,
          name: by,
          set,
          judged,
          share,
          low,
          high,
        }))}
      />
      <Txt size="label" tone="muted">
        By name, and no ranking: it hangs on the bed and the hour as much as on the hand. Lines that overlap
        tell of no difference.
      </Txt>
    </Card>
  );
}
