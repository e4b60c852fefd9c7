import { useState } from 'react';
import { View } from 'react-native';
import type { Neighbour } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { BESIDE, Button, Card, Notice } from '../controls';
import { FEW_CARDS, LongList } from '../LongList';
import { Txt, useColours } from '../theme';
import type { Units } from '@/data/device/prefs';
import { distanceText, plural } from '../words';
import { NeighbourSheet } from './NeighbourSheet';
import { betweenWords, compassOf, plantingName } from './words';

/** What grows next door and could cross. */
export function NeighboursCard() {
  const { state } = useGarden();
  const { problem, save } = useRecording();
  const [open, setOpen] = useState<Neighbour | 'new' | null>(null);
  const there = [...state.neighbours.values()]
    .filter(({ goneAt }) => goneAt === null)
    .sort((a, b) => a.distanceM - b.distanceM);
  return (
    <Card>
      <Txt size="heading">Growing next door</Txt>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {there.length === 0 ? (
        <Txt>
          Nothing written down yet. Squash, corn, melons, beet in flower: what stands in the gardens and
          fields around is half of the answer. What you don’t know counts as another variety; names of people
          are not needed.
        </Txt>
      ) : null}
      <LongList
        items={there}
        keyOf={({ id }) => id}
        row={(each) => (
          <NeighbourRow
            neighbour={each}
            onEdit={() => setOpen(each)}
            onGone={() => void save({ kind: 'neighbourGone', neighbour: each.id })}
          />
        )}
        about={60}
        short={FEW_CARDS}
        gap={10}
      />
      <Txt size="label" tone="muted">
        Ask again when your own flowers open: ornamental and compost gourds, and what sowed itself, count too.
      </Txt>
      <Button title="Add what grows next door" onPress={() => setOpen('new')} />
      {open ? (
        <NeighbourSheet neighbour={open === 'new' ? null : open} onClose={() => setOpen(null)} />
      ) : null}
    </Card>
  );
}

function NeighbourRow({
  neighbour,
  onEdit,
  onGone,
}: {
  neighbour: Neighbour;
  onEdit: () => void;
  onGone: () => void;
}) {
  const colours = useColours();
  const { units } = useGarden().prefs;
  const name = plantingName(neighbour.crop, neighbour.variety);
  return (
    <View
      style={{
        borderTopWidth: 1,
        borderTopColor: colours.rule,
        paddingTop: 6,
        flexDirection: 'row',
        flexWrap: 'wrap',
        gap: 8,
      }}
    >
      <View style={BESIDE}>
        <Txt size="strong">{name}</Txt>
        <Txt size="label">{neighbourWords(neighbour, units)}</Txt>
      </View>
      <Button title="Edit" look="quiet" small label={`Edit ${name} next door`} onPress={onEdit} />
      <Button title="Gone" look="quiet" small label={`${name} next door is gone`} onPress={onGone} />
    </View>
  );
}

function neighbourWords(
  { distanceM, bearingDeg, plants, between, knownBy }: Neighbour,
  units: Units,
): string {
  return [
    `${distanceText(distanceM, units)}${bearingDeg === null ? '' : ` to the ${compassOf(bearingDeg)}`}`,
    ...(plants === null ? [] : [plural(plants, 'plant')]),
    ...between.map((each) => betweenWords[each]),
    { seen: 'seen', told: 'told', guessed: 'guessed' }[knownBy],
  ].join(' · ');
}
