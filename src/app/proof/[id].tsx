import type { ComponentProps } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { growing } from '@core/patch';
import { writtenAt } from '@core/ids';
import { fruitProof, hoursOf, type OpeningHours, type ProofLink } from '@core/purity';
import type { Flower, LedgerEvent, State } from '@core/ledger';
import { addDays, clockText, localDateOf, shortDayText } from '@core/time';
import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';
import { BETWEEN, Row, BESIDE, Badge, Button, Card, Notice } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { ShutRow } from '@/ui/fruit/ShutRow';
import { NotHere } from '@/ui/NotHere';
import { Page } from '@/ui/Page';
import { storyWords } from '@/ui/patch/storyWords';
import type { AddLater } from '@/ui/purity/AddLater';
import { FruitLife } from '@/ui/purity/FruitLife';
import { LinkMark, ProofDrawing } from '@/ui/purity/ProofDrawing';
import {
  gradeTone,
  gradeText,
  linkName,
  linkNames,
  offspringWords,
  oddityText,
  reasonText,
  selfedWords,
  shareWords,
  stillToDo,
} from '@/ui/purity/words';
import { Txt, useColours } from '@/ui/theme';
import { flowerText, plantText } from '@/ui/words';

const addLater = piece(() => import('@/ui/purity/AddLater'));

/** Wanted by who forgot something, so it is fetched with the page of its fruit; its place is kept meanwhile. */
function Later(of: ComponentProps<typeof AddLater>) {
  const found = usePiece(addLater);
  return found ? <found.AddLater {...of} /> : <View style={{ minHeight: 52 }} />;
}

/** How pure the seed of one fruit is, link by link, with the entries that say so. */
function ProofPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { state, today } = useGarden();
  const router = useRouter();
  const flower = state.flowers.get(id);
  const found = flower ? growing(state, flower.plant) : null;
  const fruit = flower && fruitProof(state, flower, today);
  if (!flower || !found || !fruit)
    return <NotHere title="No such fruit" back="Fruit" onBack={() => router.replace('/fruit')} />;
  const { chain, proof } = fruit;
  const entries = entriesOf(state, flower);
  // From the day on which it tells: next day, or when the silk is brown and the petals have fallen.
  const lookable = chain.links.some(
    ({ link, until }) => link === 'kept-shut' && until !== null && today >= addDays(until, -1),
  );
  const hours = hoursOf(flower, found, state);
  const todo = chain.links.flatMap((link) => (link.state === 'not-recorded' ? (stillToDo(link) ?? []) : []));
  return (
    <Page
      title={flower.mark ? `Proof of ${flower.mark}` : 'Proof of a fruit'}
      over={flowerText(found, flower)}
      corner={<Button title="Purity" look="quiet" small onPress={() => router.navigate('/purity')} />}
      side={<FruitLife flower={flower} />}
      foot={
        <Button
          title="Its plant and whole story"
          onPress={() =>
            router.navigate({ pathname: '/plant/[id]', params: { id: flower.plant, flower: flower.id } })
          }
        />
      }
    >
      <Card>
        <Row gap={0} style={BETWEEN}>
          <Txt size="heading">{found.variety.name}</Txt>
          <Badge text={gradeText(proof)} tone={gradeTone[proof.grade]} />
        </Row>
        <ProofDrawing links={chain.links} grade={proof.grade} untrue={proof.untrue} height={34} />
        <Txt>{shareWords(proof.foreignShare)}</Txt>
        {proof.selfedShare ? <Txt>{selfedWords(proof.selfedShare)}</Txt> : null}
        {proof.cross === false ? (
          <Notice
            tone="pollen"
            text="Not a proven cross: its own anthers were not seen to come out before they shed."
          />
        ) : null}
        {chain.offspring ? <Txt>{offspringWords(chain.offspring)}</Txt> : null}
        <Txt size="label" tone="muted">
          {chain.pressure === null
            ? 'Nobody wrote down what grows about, so it is reckoned as if something might.'
            : 'Reckoned from what grows about and how often such links fail: an order of magnitude.'}
        </Txt>
        {proof.weakest ? <Txt>{`Weakest link: ${linkNames[proof.weakest].toLowerCase()}.`}</Txt> : null}
        {todo.map((words) => (
          <Notice key={words} tone="pollen" text={words} />
        ))}
      </Card>
      {chain.oddities.length > 0 ? (
        <Card>
          <Txt size="heading">This cannot be so</Txt>
          {chain.oddities.map(({ what, plant }, i) => (
            <Notice
              key={`${what} ${i}`}
              tone="brick"
              text={oddityText[what](plantText(state, plant ?? ''))}
            />
          ))}
          <Txt size="label" tone="muted">
            It is kept as it was written, and counts as not recorded. Put it right in the story of its plant.
          </Txt>
        </Card>
      ) : null}
      {lookable ? <ShutRow flower={flower} growing={found} /> : null}
      <Card>
        {chain.links.map((link) => (
          <LinkRow
            key={link.link}
            link={link}
            state={state}
            entries={entries}
            hours={link.link === 'shut-before' ? hours : null}
          />
        ))}
      </Card>
      <Later flower={flower} growing={found} chain={chain} nameOf={(link) => linkNames[link]} />
      <Txt size="label" tone="muted">
        What nobody answered is not recorded. It breaks nothing, and proves nothing: with one or two such
        links a fruit is good at best, with more of them fair.
      </Txt>
    </Page>
  );
}

const stateWords = { seen: 'seen', 'not-recorded': 'not recorded', broken: 'broken' } as const;

/** All that was written of a fruit, of its plant and bed, and of the males it was worked with, by id. */
function entriesOf(state: State, flower: Flower): ReadonlyMap<string, LedgerEvent> {
  const fathers = flower.pollinations.flatMap((each) => each.fathers);
  const places = [flower.plant, ...fathers.map(({ plant }) => plant)].map((plant) => growing(state, plant));
  const subjects = [
    flower.id,
    flower.plant,
    ...fathers.flatMap(({ plant, flowers }) => [plant, ...flowers]),
    ...places.flatMap((each) => each?.bed.id ?? []),
  ];
  return new Map(
    subjects.flatMap((id) => (state.log.get(id) ?? []).map((event) => [event.id as string, event] as const)),
  );
}

function LinkRow({
  link,
  state,
  entries,
  hours,
}: {
  link: ProofLink;
  state: State;
  entries: ReadonlyMap<string, LedgerEvent>;
  /** When such flowers opened on its day, where the link hangs on it. */
  hours: OpeningHours | null;
}) {
  const { place, prefs } = useGarden();
  const colours = useColours();
  const cited = link.events.flatMap((id) => entries.get(id) ?? []);
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const dayOf = (at: number) => localDateOf(at, place.zone);
  return (
    <View
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        gap: 10,
        borderBottomWidth: 1,
        borderBottomColor: colours.rule,
        paddingVertical: 6,
      }}
    >
      <LinkMark link={link} />
      <View style={BESIDE}>
        <Txt size="strong">{`${linkName(link)}: ${stateWords[link.state]}`}</Txt>
        <Txt>{link.late ? `${reasonText[link.says]}, written down from memory` : reasonText[link.says]}</Txt>
        {hours ? (
          <Txt size="label" tone="muted">
            {`On ${shortDayText(hours.date)} such flowers opened from about ${time(hours.opens)}, and insects flew from about ${time(hours.insectsFrom)}.`}
          </Txt>
        ) : null}
        {cited.slice(0, 4).map((event) => (
          <Txt key={event.id} size="label" tone="muted">
            {`${storyWords(state, event)} · ${shortDayText(dayOf(Date.parse(event.at)))} ${time(Date.parse(event.at))} · ${event.by}`}
            {dayOf(writtenAt(event.id)) > dayOf(Date.parse(event.at))
              ? ` · written ${shortDayText(dayOf(writtenAt(event.id)))}`
              : ''}
          </Txt>
        ))}
      </View>
    </View>
  );
}

export default gated(ProofPage);
