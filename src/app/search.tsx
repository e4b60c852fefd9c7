import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useRouter, type Href } from 'expo-router';
import { piece, usePiece } from '@/data/device/pieces';
import { catalogueOf, type Entry } from '@/data/find/catalogue';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Card, Field } from '@/ui/controls';
import { FlowerDrawing } from '@/ui/drawings/FlowerDrawing';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt, useColours } from '@/ui/theme';
import { ToToday } from '@/ui/ToToday';
import { plural } from '@/ui/words';

const KINDS: Readonly<Record<Entry['kind'], string>> = {
  plant: 'plant',
  variety: 'variety',
  lot: 'lot',
  fruit: 'fruit',
  screen: 'go to',
  word: 'word',
};

const engine = piece(() => import('minisearch'));

/** Finds anything by its name: plants, fruits by their mark, varieties, lots, words of the trade, screens. */
function SearchPage() {
  const { state } = useGarden();
  const router = useRouter();
  const [query, setQuery] = useState('');
  const asked = useDeferredValue(query);
  const search = usePiece(engine);
  const find = useMemo(() => (search ? catalogueOf(state, search.default) : null), [state, search]);
  const found = useMemo(() => find?.(asked) ?? [], [find, asked]);
  const host = useRef<View>(null);
  useEffect(() => {
    (host.current as unknown as HTMLElement | null)?.querySelector?.('input')?.focus();
  }, []);
  return (
    <Page title="Find anything" over="Plants, marks, varieties, lots, words, screens" corner={<ToToday />}>
      <View ref={host}>
        <Field
          label="What are you looking for?"
          value={query}
          onChange={setQuery}
          placeholder="e.g. slate, F2-Y, silk"
        />
      </View>
      <Txt role="status" size="label" tone="muted">
        {asked.trim() === '' || find === null
          ? 'A few letters will do, with or without accents.'
          : found.length === 0
            ? `Nothing here is called “${asked.trim()}”.`
            : plural(found.length, 'answer')}
      </Txt>
      {found.length > 0 ? (
        <Card>
          {found.map((entry) => (
            <Answer key={entry.id} entry={entry} onOpen={(to) => router.navigate(to as Href)} />
          ))}
        </Card>
      ) : null}
    </Page>
  );
}

function Answer({ entry, onOpen }: { entry: Entry; onOpen: (to: string) => void }) {
  const colours = useColours();
  const { kind, title, note, to, term } = entry;
  const words = (
    <>
      {term?.shows ? (
        <FlowerDrawing
          crop={term.shows.crop}
          sex={term.shows.sex}
          appearance={term.shows.stage}
          shape="ribbed"
          size={64}
        />
      ) : null}
      <View style={BESIDE}>
        <Txt size="strong">{title}</Txt>
        <Txt size={term ? 'body' : 'label'} tone={term ? 'ink' : 'muted'}>
          {term ? note : `${KINDS[kind]} · ${note}`}
        </Txt>
      </View>
    </>
  );
  const style = {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 10,
    minHeight: 48,
    paddingVertical: 8,
    borderBottomWidth: 1,
    borderBottomColor: colours.rule,
  } as const;
  return to === null ? (
    <View style={style}>{words}</View>
  ) : (
    <Pressable role="link" aria-label={`${title}, ${note}`} onPress={() => onOpen(to)} style={style}>
      {words}
    </Pressable>
  );
}

export default gated(SearchPage);
