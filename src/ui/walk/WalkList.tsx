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
  index,
  onGo,
}: {
  walk: EveningWalk;
  /** In the walk's plants and, after these, its rest. */
  index: number;
  onGo: (index: number) => void;
}) {
  const wide = useIsWide();
  const [open, setOpen] = useState(false);
  const [restOpen, setRestOpen] = useState(false);
  const { plants, rest, walked } = walk;
  const all = [...plants, ...rest];
  // Plants whose goal is met are folded away, unless somebody stands at one.
  const folded = rest.length > 0 && !restOpen && index < plants.length;
  if (!wide && !open)
    return <Button title="List of plants" look="quiet" small onPress={() => setOpen(true)} />;
  return (
    <Card>
      <Txt size="strong">
        {walked.length} of {plants.length} plants looked over
      </Txt>
      <LongList
        items={folded ? plants : all}
        keyOf={({ plant }) => plant.id}
        row={(each) => (
          <PlantRow
            of={each}
            walked={walked.includes(each.plant.id)}
            here={each === all[index]}
            onPress={() => onGo(all.indexOf(each))}
          />
        )}
        about={49}
      />
      {folded ? (
        <Button
          title={`Goal met: ${plural(rest.length, 'more plant')}`}
          look="quiet"
          small
          onPress={() => setRestOpen(true)}
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
