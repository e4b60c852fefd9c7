import { View } from 'react-native';
import { standings, type Flower, type LedgerEvent } from '@core/ledger';
import { clockText, localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Button } from '../controls';
import { Txt, useColours } from '../theme';
import { plural } from '../words';
import { storyWords } from './storyWords';

/** What was written of a flower, in order; each line can be mended, and one taken back brought back. */
export function Story({ flower, onMend }: { flower: Flower; onMend: (event: LedgerEvent) => void }) {
  const { state, place, prefs, record } = useGarden();
  const colours = useColours();
  const story = standings(state.log.get(flower.id) ?? []).filter(
    ({ event }) => event.kind !== 'withdrawn' && event.kind !== 'corrected',
  );
  return (
    <>
      {story.length === 0 ? <Txt tone="muted">An old record: its entries are in the export.</Txt> : null}
      {story.map((standing) => {
        const { event, withdrawnBy, corrections } = standing;
        const at = Date.parse(event.at);
        return (
          <View
            key={standing.original.id}
            style={{
              flexDirection: 'row',
              flexWrap: 'wrap',
              gap: 8,
              alignItems: 'center',
              borderTopWidth: 1,
              borderTopColor: colours.rule,
              paddingTop: 6,
              opacity: withdrawnBy ? 0.75 : 1,
            }}
          >
            <View style={BESIDE}>
              <Txt style={withdrawnBy ? { textDecorationLine: 'line-through' } : null}>
                {storyWords(state, event)}
              </Txt>
              <Txt size="label" tone="muted">
                {shortDayText(localDateOf(at, place.zone))} {clockText(at, place.zone, prefs.clock === '12')}{' '}
                · {event.by}
                {corrections.length > 0 ? ` · corrected ${plural(corrections.length, 'time')}` : ''}
                {withdrawnBy ? ' · taken back' : ''}
              </Txt>
            </View>
            {withdrawnBy ? (
              <Button
                title="Bring back"
                look="quiet"
                small
                onPress={() => void record({ kind: 'withdrawn', subject: flower.id, target: withdrawnBy.id })}
              />
            ) : (
              <Button
                title="Mend"
                look="quiet"
                small
                label={`Mend: ${storyWords(state, event)}`}
                onPress={() => onMend(event)}
              />
            )}
          </View>
        );
      })}
    </>
  );
}
