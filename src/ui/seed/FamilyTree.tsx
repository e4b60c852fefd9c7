import { useRef } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { generationCode, type TreePlace } from '@core/lineage';
import { growing, lotName } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { CORNER, Txt, useColours } from '../theme';
import { plantText } from '../words';

/** A place in the tree, from the root up: `m` the mother, `f` the father, `mf` the mother's father. */
type At = string;

const LINES_H = 22;

/** Where an arrow key leads: up to the mother (or father), down to the child, left and right along a generation. */
export function stepFrom(at: At, key: string): At | null {
  if (key === 'ArrowUp') return `${at}m`;
  if (key === 'ArrowDown') return at === '' ? null : at.slice(0, -1);
  if (key !== 'ArrowLeft' && key !== 'ArrowRight') return null;
  // Places of a generation count like binary figures: m is 0 and f is 1.
  const places = [...at].reduce((sum, each) => sum * 2 + (each === 'f' ? 1 : 0), 0);
  const next = places + (key === 'ArrowLeft' ? -1 : 1);
  if (next < 0 || next >= 2 ** at.length) return null;
  return [...at].map((_, i) => ((next >> (at.length - 1 - i)) & 1 ? 'f' : 'm')).join('');
}

/** All places of a generation, the mother's side first; `null` where nothing is known further down. */
export function generationOf(root: TreePlace, back: number): readonly (readonly [At, TreePlace | null])[] {
  let row: readonly (readonly [At, TreePlace | null])[] = [['', root]];
  for (let i = 0; i < back; i++)
    row = row.flatMap(([at, place]): (readonly [At, TreePlace | null])[] => [
      [`${at}m`, place?.parents?.mother ?? null],
      [`${at}f`, place?.parents?.father ?? null],
    ]);
  return row;
}

/** A tree of generations, the oldest on top; each place opens the tree of its plant. Arrow keys move through it. */
export function FamilyTree({
  root,
  generations,
  onOpen,
}: {
  root: TreePlace;
  generations: number;
  onOpen: (place: TreePlace) => void;
}) {
  const holder = useRef<View>(null);
  const onKey = (event: KeyboardEvent) => {
    const at = (event.target as HTMLElement).id.split('place-')[1];
    const next = at === undefined ? null : stepFrom(at === 'root' ? '' : at, event.key);
    if (next === null) return;
    event.preventDefault();
    document.getElementById(idOf(next))?.focus();
  };
  const rows = Array.from({ length: generations + 1 }, (_, i) => generations - i).filter((back) =>
    generationOf(root, back).some(([, place]) => place !== null),
  );
  return (
    <View ref={holder} {...({ onKeyDown: onKey } as object)} role="group" aria-label="Tree of generations">
      {rows.map((back) => (
        <View key={back}>
          <View style={{ flexDirection: 'row', gap: 6 }}>
            {generationOf(root, back).map(([at, place]) => (
              <Place key={at} at={at} place={place} onOpen={onOpen} />
            ))}
          </View>
          {back > 0 ? <Lines pairs={2 ** (back - 1)} row={generationOf(root, back)} /> : null}
        </View>
      ))}
    </View>
  );
}

const idOf = (at: At) => `place-${at === '' ? 'root' : at}`;

/** From two parents down to their child. */
function Lines({ pairs, row }: { pairs: number; row: readonly (readonly [At, TreePlace | null])[] }) {
  const colours = useColours();
  const path = Array.from({ length: pairs }, (_, i) => {
    if (row[2 * i]?.[1] == null) return '';
    const [mother, father, child] = [4 * i + 1, 4 * i + 3, 4 * i + 2];
    return `M${mother} 0V10H${father}V0M${child} 10V${LINES_H}`;
  }).join('');
  return (
    <Svg
      width="100%"
      height={LINES_H}
      viewBox={`0 0 ${4 * pairs} ${LINES_H}`}
      preserveAspectRatio="none"
      aria-hidden
    >
      <Path d={path} stroke={colours.muted} strokeWidth={2} vectorEffect="non-scaling-stroke" fill="none" />
    </Svg>
  );
}

function Place({
  at,
  place,
  onOpen,
}: {
  at: At;
  place: TreePlace | null;
  onOpen: (place: TreePlace) => void;
}) {
  const colours = useColours();
  const words = usePlaceWords();
  if (place === null) return <View style={{ flex: 1 }} />;
  const { title, note } = words(place);
  const known = place.plants.length > 0 || place.lot !== null;
  return (
    <Pressable
      id={idOf(at)}
      role="button"
      disabled={!known}
      aria-label={`${relation(at)}: ${title}${note ? `, ${note}` : ''}${place.more ? ', more generations behind' : ''}`}
      onPress={() => onOpen(place)}
      style={{
        flex: 1,
        minHeight: 56,
        minWidth: 0,
        paddingHorizontal: 4,
        paddingVertical: 6,
        alignItems: 'center',
        justifyContent: 'center',
        borderWidth: at === '' ? 3 : 1,
        borderStyle: known ? 'solid' : 'dashed',
        borderColor: at === '' ? colours.leaf : colours.muted,
        borderRadius: CORNER,
        backgroundColor: colours.card,
      }}
    >
      <Txt size="label" style={{ textAlign: 'center', fontWeight: '700' }}>
        {title}
      </Txt>
      {note ? (
        <Txt size="label" tone="muted" style={{ textAlign: 'center' }}>
          {note}
        </Txt>
      ) : null}
      {place.more ? (
        <Txt size="label" tone="muted" aria-hidden>
          ⋯
        </Txt>
      ) : null}
    </Pressable>
  );
}

/** What stands in a place: a plant, one of several, or nobody knows what. */
export function usePlaceWords(): (place: TreePlace) => {
  readonly title: string;
  readonly note: string | null;
} {
  const { state } = useGarden();
  return ({ plants, generation, lot }) => {
    const [only] = plants;
    if (plants.length > 1) {
      const name = growing(state, only ?? '')?.variety.name;
      return { title: `one of ${plants.length}`, note: name ?? null };
    }
    if (only === undefined) {
      const seed = lot === null ? undefined : state.lots.get(lot);
      return seed ? { title: lotName(seed, state), note: 'seed' } : { title: 'not known', note: null };
    }
    const found = growing(state, only);
    const year = found?.plant.plantedOn?.slice(0, 4);
    const code = generation ? generationCode(generation) : null;
    const note = [code, year].filter(Boolean).join(' · ');
    return { title: plantText(state, only), note: note === '' ? null : note };
  };
}

/** `mf`: the mother's father. */
export function relation(at: At): string {
  if (at === '') return 'itself';
  const [first, ...others] = [...at].map((each) => (each === 'm' ? 'mother' : 'father'));
  return others.reduce((said, each) => `${said}’s ${each}`, first ?? '');
}
