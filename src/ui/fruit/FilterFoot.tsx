import { useState } from 'react';
import type { GroupHow } from '@core/ledger';
import { ALL, type Choice, type Choices } from '@core/study';
import { useGarden } from '@/data/garden/garden';
import { Button, Row, Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { groupName } from './studyWords';

/** A season's name: south of the equator it lies over New Year. */
export function seasonName(year: number, latitude: number): string {
  return latitude < 0 ? `${year}/${String((year + 1) % 100).padStart(2, '0')}` : String(year);
}

interface Filter {
  readonly choice: Choice;
  readonly choices: Choices | null;
  readonly onChoice: (choice: Choice) => void;
}

/** In thumb's reach: this week, a season or all; and all that can be left out besides. */
export function FilterFoot({ choice, choices, onChoice }: Filter) {
  const { state, place } = useGarden();
  const [open, setOpen] = useState(false);
  const latest = choices?.seasons[0];
  const only = [
    choice.variety && groupName(state, 'variety', choice.variety),
    choice.how && groupName(state, 'how', choice.how),
    choice.father && groupName(state, 'father', choice.father),
    typeof choice.when === 'number' && choice.when !== latest
      ? seasonName(choice.when, place.latitude)
      : null,
  ].filter(Boolean);
  return (
    <Row gap={6} style={{ alignItems: 'stretch' }}>
      <Tile
        title="This week"
        small
        chosen={choice.when === 'week'}
        minWidth={62}
        onPress={() => onChoice({ ...choice, when: 'week' })}
      />
      {latest === undefined ? null : (
        <Tile
          title={seasonName(latest, place.latitude)}
          label={`Season ${seasonName(latest, place.latitude)}`}
          small
          chosen={choice.when === latest}
          minWidth={52}
          onPress={() => onChoice({ ...choice, when: latest })}
        />
      )}
      <Tile
        title="All"
        label="All seasons"
        small
        chosen={choice.when === null}
        minWidth={42}
        onPress={() => onChoice({ ...choice, when: null })}
      />
      <Tile
        title={only.length === 0 ? 'Only …' : `Only ${only.join(', ')}`}
        label={only.length === 0 ? 'Show only some' : `Showing only ${only.join(', ')}`}
        small
        chosen={only.length > 0}
        minWidth={92}
        onPress={() => setOpen(true)}
      />
      {choices ? (
        <FilterSheet
          open={open}
          onClose={() => setOpen(false)}
          choice={choice}
          choices={choices}
          onChoice={onChoice}
        />
      ) : null}
    </Row>
  );
}

/** More tiles than this nobody looks through. */
const MOST_TILES = 60;

/** What to show, one question under the other; each with an answer that lifts it. */
function FilterSheet({
  open,
  onClose,
  choice,
  choices,
  onChoice,
}: Filter & { readonly choices: Choices; readonly open: boolean; readonly onClose: () => void }) {
  const { state, place } = useGarden();
  const name = { variety: 'Variety', how: 'Tool', father: 'Father' } as const;
  const options = { variety: choices.varieties, how: choices.hows, father: choices.fathers } as const;
  return (
    <Sheet open={open} title="Show only" onClose={onClose}>
      {choices.seasons.length > 1 ? (
        <Tiles question="Season">
          {choices.seasons.map((year) => (
            <Tile
              key={year}
              title={seasonName(year, place.latitude)}
              small
              chosen={choice.when === year}
              onPress={() => onChoice({ ...choice, when: choice.when === year ? null : year })}
            />
          ))}
        </Tiles>
      ) : null}
      {(['variety', 'how', 'father'] as const).map((what) =>
        options[what].length < 2 ? null : (
          <Tiles key={what} question={name[what]}>
            {options[what].slice(0, MOST_TILES).map((id) => (
              <Tile
                key={id}
                title={groupName(state, what, id)}
                small
                chosen={choice[what] === id}
                onPress={() => onChoice({ ...choice, [what]: choice[what] === id ? null : (id as GroupHow) })}
              />
            ))}
            {options[what].length > MOST_TILES ? (
              <Txt size="label" tone="muted">
                {`and ${options[what].length - MOST_TILES} more: pick the variety first`}
              </Txt>
            ) : null}
          </Tiles>
        ),
      )}
      <Row>
        <Button title="Show" look="main" onPress={onClose} />
        <Button title="Everything again" onPress={() => onChoice({ ...ALL, when: choice.when })} />
      </Row>
    </Sheet>
  );
}
