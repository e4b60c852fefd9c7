import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ListItem } from '@rneui/themed';
import type { Town } from '@core/towns';
import type { TypedPlace } from '@/data/forms/placeForm';
import { Field, Button, Notice, Row } from './controls';
import { Txt, useColours } from './theme';

export interface PlacePickerProps {
  readonly value: TypedPlace;
  readonly wrong: Readonly<Partial<Record<string, string>>>;
  readonly onChange: (part: Partial<TypedPlace>) => void;
}

/** Where the patch lies: a town from the list we ship, or coordinates typed. Sunrise hangs on it. */
export function PlacePicker({ value, wrong, onChange }: PlacePickerProps) {
  const colours = useColours();
  const [typed, setTyped] = useState('');
  const [found, setFound] = useState<readonly Town[]>([]);
  // What was looked for when `found` was found.
  const [searched, setSearched] = useState('');
  const [shown, setShown] = useState(false);
  // What is wrong with them is seen where they stand.
  const byHand = shown || [wrong.placeName, wrong.latitude, wrong.longitude].some(Boolean);
  useEffect(() => {
    let current = true;
    // The list loads only when somebody looks for a place.
    void import('@core/towns').then(({ findTowns, townOfZone }) => {
      if (!current) return;
      setFound(findTowns(typed));
      setSearched(typed);
      if (value.zone !== '') return;
      const here = townOfZone(Intl.DateTimeFormat().resolvedOptions().timeZone);
      if (here) onChange(fromTown(here));
    });
    return () => {
      current = false;
    };
  }, [typed, value.zone, onChange]);
  return (
    <View style={{ gap: 6 }}>
      <Txt size="strong">
        {value.placeName
          ? `${value.placeName} · ${value.latitude}, ${value.longitude}`
          : 'No place chosen yet'}
      </Txt>
      <Txt size="label" tone="muted">
        {value.zone
          ? `Time zone ${value.zone}. Sunrise is reckoned for this place; a town within 30 km is near enough.`
          : 'Sunrise is reckoned for this place.'}
      </Txt>
      <Field
        label="Nearest town, country or zone"
        value={typed}
        onChange={setTyped}
        placeholder="e.g. Ljubljana"
        error={wrong.zone ?? null}
      />
      {searched.trim() !== '' && found.length === 0 ? (
        <Notice
          tone="pollen"
          text={`No “${searched.trim()}” in the list${value.placeName ? `: the place is still ${value.placeName}` : ''}. Try a larger town within 30 km, or type the coordinates.`}
        />
      ) : null}
      {found.map((town) => (
        <ListItem
          key={`${town.zone}${town.name}`}
          onPress={() => {
            onChange(fromTown(town));
            setTyped('');
          }}
          containerStyle={{
            backgroundColor: colours.card,
            borderBottomWidth: 1,
            borderBottomColor: colours.rule,
            minHeight: 48,
            paddingVertical: 8,
          }}
        >
          <ListItem.Content>
            <ListItem.Title style={{ color: colours.ink }}>
              {town.name}, {town.country}
            </ListItem.Title>
          </ListItem.Content>
        </ListItem>
      ))}
      <Row>
        <Button
          title={byHand ? 'Hide the coordinates' : 'Type coordinates instead'}
          look="quiet"
          small
          onPress={() => setShown(!byHand)}
        />
      </Row>
      {byHand ? (
        <View style={{ gap: 6 }}>
          <Field
            label="Name of the place"
            value={value.placeName}
            onChange={(placeName) => onChange({ placeName })}
            error={wrong.placeName ?? null}
          />
          <Field
            label="Latitude, degrees north (south is minus)"
            value={value.latitude}
            onChange={(latitude) => onChange({ latitude })}
            keyboard="decimal-pad"
            error={wrong.latitude ?? null}
          />
          <Field
            label="Longitude, degrees east (west is minus)"
            value={value.longitude}
            onChange={(longitude) => onChange({ longitude })}
            keyboard="decimal-pad"
            error={wrong.longitude ?? null}
          />
          <Field
            label="Time zone"
            value={value.zone}
            onChange={(zone) => onChange({ zone })}
            placeholder="Europe/Ljubljana"
          />
        </View>
      ) : null}
    </View>
  );
}

function fromTown(town: Town): TypedPlace {
  return {
    placeName: town.name,
    latitude: String(town.latitude),
    longitude: String(town.longitude),
    zone: town.zone,
  };
}
