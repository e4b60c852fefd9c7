import { useState } from 'react';
import { View } from 'react-native';
import { windowNow, type OpenWindow } from '@core/bloom';
import { plantName, growing as growingOf } from '@core/patch';
import { clockText } from '@core/time';
import { pickedDrafts, type Collecting } from '@core/rounds';
import type { CheckResult, Draft } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Button, Notice, Tile, Tiles } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { LeaveButton } from '../LeaveButton';
import { Page } from '../Page';
import { Txt, useIsWide } from '../theme';
import { UndoLine } from '../UndoLine';
import { checkWords, plural } from '../words';

/** Letters of a word that stands beside the keys on a phone. */
const LONG_WORD = 5;

/** The males of one variety, picked before its females: plant by plant, with what is torn or missing said at once. */
export function CollectMales({
  collecting,
  hands,
  window = null,
  badge,
  foot,
  side,
  onLeave,
}: {
  collecting: readonly Collecting[];
  /** Variety on the hands now. */
  hands: string | null;
  /** When flowers of this variety are open. */
  window?: OpenWindow | null;
  badge: React.ReactNode;
  foot: React.ReactNode;
  side: React.ReactNode;
  onLeave: () => void;
}) {
  const wide = useIsWide();
  const { state, place, prefs, now } = useGarden();
  const early = window && windowNow(window, now) === 'before' ? window : null;
  const { busy, problem, save } = useRecording();
  const variety = collecting[0]?.variety ?? '';
  const name = state.varieties.get(variety)?.name ?? '';
  const before = hands !== null && hands !== variety ? state.varieties.get(hands)?.name : null;
  const total = collecting.reduce((sum, { males }) => sum + males.length, 0);
  const [refusing, setRefusing] = useState<string | null>(null);
  const check = (id: string, result: CheckResult): Draft => ({
    kind: 'closureChecked',
    flower: id,
    result,
  });
  return (
    <Page
      title={`Collect ${plural(total, 'male')}`}
      over={`${name} · from ${plural(collecting.length, 'plant')}`}
      badge={badge}
      corner={<LeaveButton onPress={onLeave} />}
      side={side}
      foot={
        <>
          {foot}
          <Button
            title={`Picked: ${plural(total, 'male')}, all whole`}
            look="main"
            busy={busy}
            onPress={() => void save(...pickedDrafts(collecting.flatMap(({ males }) => males)))}
          />
        </>
      }
    >
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {before ? (
        <Notice
          tone="brick"
          title={`Your hands and brush carry ${before} pollen`}
          text={`Wipe your hands, put that brush away, take the dry brush for ${name}.`}
        />
      ) : (
        <Notice tone="pollen" text={`Clean hands, and the dry brush for ${name}.`} />
      )}
      {early ? (
        <Notice
          tone="dusk"
          text={`They open about ${clockText(early.opens, place.zone, prefs.clock === '12')}: picked before, they may not shed. Wait, or work another variety first.`}
        />
      ) : null}
      {collecting.map(({ id, plant, males }) => {
        const growing = growingOf(state, plant);
        const first = males[0] ? state.flowers.get(males[0]) : undefined;
        if (!growing) return null;
        const last = males[males.length - 1] as string;
        // Beside three keys a long word would stand in pieces: then the keys go below.
        const long =
          !wide &&
          plantName(growing)
            .split(' ')
            .some((word) => word.length > LONG_WORD);
        return (
          <Card key={id} style={{ paddingVertical: 6, paddingHorizontal: 10 }}>
            <View
              style={{
                flexDirection: 'row',
                flexWrap: long ? 'wrap' : 'nowrap',
                alignItems: 'center',
                gap: 8,
              }}
            >
              {first ? (
                <FlowerDrawing
                  {...flowerAppearance(first, growing.crop, place.zone)}
                  shape={growing.variety.shape}
                  crop={growing.crop.id}
                  size={56}
                />
              ) : null}
              <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: long ? '70%' : 0 }}>
                <Txt size="strong">{plantName(growing)}</Txt>
                <Txt size="label" tone="muted">
                  {plural(males.length, 'male')} · {growing.bed.name}
                </Txt>
              </View>
              <Button
                title="Torn"
                small
                label={`A male of ${plantName(growing)} is torn`}
                disabled={busy}
                onPress={() => void save(check(last, 'torn'))}
              />
              <Button
                title="Other"
                look="quiet"
                small
                label={`A male of ${plantName(growing)} is no good for another reason`}
                onPress={() => setRefusing(refusing === id ? null : id)}
              />
              <Button
                title="Missing"
                small
                label={`A male of ${plantName(growing)} is missing`}
                disabled={busy}
                onPress={() => void save(check(last, 'gone'))}
              />
            </View>
            {refusing === id ? (
              <Tiles question="One of them is no good: why?">
                {(['no-pollen', 'not-open', 'insect', 'holed'] as const).map((result) => (
                  <Tile
                    key={result}
                    title={checkWords[result]}
                    small
                    chosen={false}
                    onPress={() => {
                      setRefusing(null);
                      void save(check(last, result));
                    }}
                    minWidth={92}
                  />
                ))}
              </Tiles>
            ) : null}
          </Card>
        );
      })}
      <Txt size="label" tone="muted">
        Pick with the stalk for a handle, peel all petals, see pollen come off on a finger. A torn or chewed
        male is no good for seed.
      </Txt>
      <UndoLine />
    </Page>
  );
}
