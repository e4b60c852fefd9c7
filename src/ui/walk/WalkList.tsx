import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { EveningWalk } from '@core/rounds';
import { plantName, type Growing } from '@core/patch';
import { mdiCheck } from '../controls/iconPaths';
import { BESIDE, Card, Button, Icon } from '../controls';
import { LongList } from '../LongList';
import { Txt, useColours, useIsWide } from '../theme';
import { plural } from '../words';

/** The walk's plants in order, to go straight to one. Folded away on a phone. */
export function WalkList({
  walk,
  done,
  index,
  onGo,
}: {
  walk: EveningWalk;
  /** Plants whose goal is met: they come last, folded away. */
  done: ReadonlySet<string>;
  index: number;
  onGo: (index: number) => void;
}) {
  const wide = useIsWide();
  const [open, setOpen] = useState(false);
  const [doneOpen, setDoneOpen] = useState(false);
  const left = walk.plants.filter(({ plant }) => !done.has(plant.id));
  const here = walk.plants[index];
  const folded = !doneOpen && here !== undefined && !done.has(here.plant.id);
  const shown = folded ? left : walk.plants;
  const over = left.filter(({ plant }) => walk.walked.includes(plant.id)).length;
  if (!wide && !open)
    return <Button title="List of plants" look="quiet" small onPress={() => setOpen(true)} />;
  return (
    <Card>
      <Txt size="strong">
        {over} of {left.length} plants looked over
      </Txt>
      <LongList
        items={shown}
        keyOf={({ plant }) => plant.id}
        row={(each) => (
          <PlantRow
            of={each}
            walked={walk.walked.includes(each.plant.id)}
            here={each === here}
            onPress={() => onGo(walk.plants.indexOf(each))}
          />
        )}
        about={49}
      />
      {folded && done.size > 0 ? (
        <Button
          title={`Goal met: ${plural(walk.plants.length - left.length, 'more plant')}`}
          look="quiet"
          small
          onPress={() => setDoneOpen(true)}
        />
      ) : null}
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
