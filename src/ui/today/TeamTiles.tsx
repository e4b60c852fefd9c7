import { useMemo } from 'react';
import { shareByVariety, TEAM_WAYS, type PollinationRound, type TeamShare, type TeamWay } from '@core/rounds';
import { useChangePrefs } from '@/data/device/prefs';
import { useGarden } from '@/data/garden/garden';
import { Stepper, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { listText, plural } from '../words';

const NAMES: Readonly<Record<TeamWay, { readonly title: string; readonly note: string }>> = {
  'as-it-comes': { title: 'As it comes', note: 'The shortest way for all, with a clean brush in between.' },
  'by-variety': { title: 'By variety', note: 'Each keeps to some varieties: hands stay clean.' },
  chain: { title: 'In a chain', note: 'Together from flower to flower.' },
};

/** Who comes along, and how the work is shared. */
export function TeamTiles({ people, shares }: { people: number; shares: readonly TeamShare[] }) {
  const { prefs } = useGarden();
  const changePrefs = useChangePrefs();
  return (
    <>
      <Stepper
        label="People on this round"
        value={people}
        least={1}
        most={6}
        onChange={(many) => void changePrefs({ helpers: many - 1 })}
      />
      {people > 1 ? (
        <>
          <Tiles question="How do you share it?">
            {TEAM_WAYS.map((way) => (
              <Tile
                key={way}
                title={NAMES[way].title}
                small
                chosen={prefs.team === way}
                onPress={() => void changePrefs({ team: way })}
              />
            ))}
          </Tiles>
          <Txt tone="muted">{NAMES[prefs.team].note}</Txt>
          {prefs.team === 'chain' ? <Txt>{chainText(people)}</Txt> : null}
          <ShareLines shares={shares} />
        </>
      ) : null}
    </>
  );
}

/** Who does what in a chain of so many. */
export function chainText(people: number): string {
  return people === 2
    ? 'One looks and opens the flower, and shuts and marks it after; the other brings the pollen. One of you writes it all down.'
    : `One looks and opens, one brings the pollen, one shuts and marks${people > 3 ? '; anyone else carries and writes' : ''}.`;
}

function ShareLines({ shares }: { shares: readonly TeamShare[] }) {
  const { state } = useGarden();
  return shares.map(({ worker, varieties }, i) => (
    <Txt key={worker}>
      {`${i === 0 ? 'You' : `Helper ${i}`}: ${listText(
        varieties.map(
          ({ variety, flowers }) =>
            `${state.varieties.get(variety)?.name ?? 'a variety not on this phone'} (${plural(flowers, 'flower')})`,
        ),
      )}`}
    </Txt>
  ));
}

/** Who takes which varieties of a round, where it is shared so; else nobody's. */
export function useShares(round: PollinationRound): readonly TeamShare[] {
  const { state, prefs } = useGarden();
  return useMemo(
    () =>
      prefs.team === 'by-variety' && prefs.helpers > 0
        ? shareByVariety(
            state,
            round.stops,
            Array.from({ length: prefs.helpers + 1 }, (_, i) => String(i)),
          )
        : [],
    [state, round.stops, prefs.team, prefs.helpers],
  );
}
