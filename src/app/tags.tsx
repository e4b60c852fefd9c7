import { useMemo, useState } from 'react';
import { useRouter } from 'expo-router';
import { growing, plantName } from '@core/patch';
import { markAt, readCode, rollOf } from '@core/purity';
import type { Flower, State } from '@core/ledger';
import { TAG_SIZES, tagsOn, type Tag } from '@core/tags';
import { dayText, localDateOf } from '@core/time';
import { saveFile } from '@/data/device/files';
import type { Job } from '@/data/device/worker';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { makeTags } from '@/data/marks/tags';
import { BESIDE, Row, Button, Card, Field, Notice, Tile, Tiles } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { parentsText, plural } from '@/ui/words';

const SHEETS = [1, 2, 5, 10] as const;

/** Tags to print: with marks still to be given out, or for the fruits that have theirs. */
function TagsPage() {
  const { state, place, prefs, today, store } = useGarden();
  const router = useRouter();
  const next = useNextMark();
  const [which, setWhich] = useState<'blank' | 'fruits'>('blank');
  const [sheets, setSheets] = useState<number>(1);
  const [from, setFrom] = useState<string | null>(null);
  const [used, setUsed] = useState('');
  const [sizeKey, setSizeKey] = useState(prefs.units === 'us' ? 'letter-30' : 'a4-24');
  const [work, setWork] = useState<{ readonly job: Job<ArrayBuffer>; readonly share: number } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const size = TAG_SIZES.find(({ key }) => key === sizeKey) ?? TAG_SIZES[0];
  const fruits = useMemo(() => fruitTags(state, today.slice(0, 4), place.zone), [state, today, place.zone]);
  if (!size) return null;
  const first = readCode(from ?? next);
  const roll = rollOf(state, store.device);
  const fromWrong =
    which === 'blank' && !(first.ok && first.roll === roll)
      ? `Write a mark of this phone, such as ${next}`
      : null;
  // A roll has no labels that were used up.
  const skip = used.trim() === '' || tagsOn(size) === 1 ? 0 : Number(used);
  const usedWrong =
    Number.isInteger(skip) && skip >= 0 && skip < tagsOn(size)
      ? null
      : `A whole number from 0 to ${tagsOn(size) - 1}`;
  const count = which === 'fruits' ? fruits.length : sheets * tagsOn(size) - (usedWrong ? 0 : skip);
  const save = async () => {
    if (!first.ok || fromWrong || usedWrong) return;
    const tags: readonly Tag[] =
      which === 'fruits'
        ? fruits
        : Array.from({ length: count }, (_, i) => ({
            mark: markAt(first.n + i, roll),
            parents: '',
            about: '',
          }));
    setProblem(null);
    const job = makeTags(tags, size, skip, (share) => setWork((now) => now && { ...now, share }));
    setWork({ job, share: 0 });
    try {
      saveFile(`steady-trowel-tags-${today}.pdf`, 'application/pdf', await job.result);
    } catch (error) {
      const { message } = error as Error;
      setProblem(message === 'cancelled' ? null : `The tags could not be written: ${message}`);
    } finally {
      setWork(null);
    }
  };
  return (
    <Page
      title="Tags"
      over="To print and tie on"
      corner={<Button title="Find" look="quiet" small onPress={() => router.navigate('/find')} />}
      foot={
        work ? (
          <Row>
            <Txt role="status" style={BESIDE}>{`Writing … ${Math.round(work.share * 100)} %`}</Txt>
            <Button title="Stop" onPress={() => work.job.cancel()} />
          </Row>
        ) : (
          <Button
            title={`Save ${plural(count, 'tag')} as PDF`}
            look="main"
            disabled={count < 1 || fromWrong !== null || usedWrong !== null}
            onPress={() => void save()}
          />
        )
      }
      side={
        <Card>
          <Txt size="heading">So that it lasts</Txt>
          <Txt>
            Ink of most printers runs in the wet: print on plastic labels or put clear tape over, and write
            the mark in pencil on the back. Try one sheet before a season hangs on it.
          </Txt>
          <Txt>
            Hang the loop loosely: a stalk of squash grows to 25-30 mm. Look at it again after two and four
            weeks. A muskmelon slips off when it is ripe: tag the vine and the fruit.
          </Txt>
          <Txt>
            A second mark that can’t fall off: scratch it lightly into the skin while the squash is young, and
            it heals raised. Not into fruit that rots easily.
          </Txt>
          <Txt size="label" tone="muted">
            The square can be read from a picture under “Find”. It holds the mark, and nothing else.
          </Txt>
        </Card>
      }
    >
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Tiles question="For">
        <Tile
          title="marks to come"
          note={`from ${next}`}
          chosen={which === 'blank'}
          onPress={() => setWhich('blank')}
        />
        <Tile
          title="fruits of this year"
          note={`${fruits.length} marked`}
          chosen={which === 'fruits'}
          onPress={() => setWhich('fruits')}
        />
      </Tiles>
      <Tiles question="On">
        {TAG_SIZES.map(({ key, name }) => (
          <Tile
            key={key}
            title={name}
            small
            minWidth={150}
            chosen={key === size.key}
            onPress={() => setSizeKey(key)}
          />
        ))}
      </Tiles>
      {which === 'blank' ? (
        <>
          <Tiles question={size.key === 'roll' ? 'How many' : 'Sheets'}>
            {SHEETS.map((each) => (
              <Tile
                key={each}
                title={String(each)}
                small
                minWidth={60}
                chosen={sheets === each}
                onPress={() => setSheets(each)}
              />
            ))}
          </Tiles>
          <Field label="First mark" value={from ?? next} onChange={setFrom} error={fromWrong} />
          <Txt size="label" tone="muted">
            The app gives marks out in this order: take the tags in order too. If some are printed and still
            in the shed, begin after the last of them.
          </Txt>
        </>
      ) : null}
      {tagsOn(size) > 1 ? (
        <Field
          label="Labels of the first sheet used up already"
          keyboard="number-pad"
          value={used}
          placeholder="0"
          onChange={setUsed}
          error={usedWrong}
        />
      ) : null}
    </Page>
  );
}

/** A tag for every fruit that was marked in a year and carries its mark still. */
function fruitTags(state: State, year: string, zone: string): readonly Tag[] {
  return [...state.flowers.values()].flatMap((flower: Flower): Tag[] => {
    const found = growing(state, flower.plant);
    const worked = flower.pollinations.at(-1)?.at ?? flower.marking?.at;
    if (flower.mark === null || !worked || !found || flower.lost) return [];
    const day = localDateOf(Date.parse(worked), zone);
    if (!day.startsWith(year)) return [];
    return [
      {
        mark: flower.mark,
        parents: parentsText(state, found),
        about: `${plantName(found)} · ${dayText(day)}`,
      },
    ];
  });
}

export default gated(TagsPage);
