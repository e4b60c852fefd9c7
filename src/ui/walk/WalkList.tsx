import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { EveningWalk } from '@core/rounds';
import { plantName, type Growing } from '@core/patch';
import { mdiCheck } from '../controls/iconPaths';
import { BESIDE, Card, Button, Icon } from '../controls';
import { LongList } from '../LongList';
import { Txt, useColours, useIsWide } from '../theme';

/** The walk's plants in order, to go straight to one. Folded away on a phone. */
export function WalkList({
  walk,
  index,
  onGo,
}: {
  walk: EveningWalk;
  index: number;
  onGo: (index: number) => void;
}) {
  const wide = useIsWide();
  const [open, setOpen] = useState(false);
  if (!wide && !open)
    return <Button title="List of plants" look="quiet" small onPress={() => setOpen(true)} />;
  return (
    <Card>
      <Txt size="strong">
        {walk.walked.length} of {walk.plants.length} plants looked over
      </Txt>
      <LongList
        items={walk.plants}
        keyOf={({ plant }) => plant.id}
        row={(each) => (
          <PlantRow
            of={each}
            walked={walk.walked.includes(each.plant.id)}
            here={each === walk.plants[index]}
            onPress={() => onGo(walk.plants.indexOf(each))}
          />
        )}
        about={49}
      />
    </Card>
  );
}

function PlantRow({
  of,
  walked,
  here,
  onPress,
}: {
  of: Growing;
  walked: boolean;
  here: boolean;
  onPress: () => void;
}) {
  const colours = useColours();
  return (
    <Pressable
      role="button"
      aria-label={`${plantName(of)}, ${of.bed.name}${walked ? ', looked over' : ''}`}
      aria-current={here ? 'step' : undefined}
      onPress={onPress}
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 8,
        minHeight: 48,
        paddingHorizontal: 8,
        borderTopWidth: 1,
        borderTopColor: colours.rule,
        borderLeftWidth: 4,
        borderLeftColor: here ? colours.pollen : 'transparent',
        backgroundColor: here ? colours.pollenSoft : undefined,
      }}
    >
      <View style={{ width: 20 }}>{walked ? <Icon path={mdiCheck} size={20} /> : null}</View>
      <Txt size={here ? 'strong' : 'body'} style={BESIDE}>
        {plantName(of)}
      </Txt>
      <Txt size="label" tone="muted" style={{ flexShrink: 1 }}>
        {of.bed.name}
      </Txt>
    </Pressable>
  );
}
