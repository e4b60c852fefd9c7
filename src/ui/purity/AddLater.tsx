import { useState } from 'react';
import type { Flower } from '@core/ledger';
import type { Growing } from '@core/patch';
import {
  addableTo,
  keptShutOn,
  type Addable,
  type Addition,
  type ProofChain,
  type ProofLinkKind,
} from '@core/purity';
import { atLocalTime, clockText, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Notice, Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { checkWords } from '../words';

/** The hours at which somebody can say that they looked, to the nearest. */
const HOURS = [8, 13, 19] as const;

/** What each answer says, as whoever was there would put it. */
const answerWords: Partial<Record<Addition['says'], string>> = {
  shut: 'yes',
  'left-open': 'no, left open',
  'anthers-out': 'out before the bag went on',
  'pure-fathers': 'shut and whole, all of them',
  clean: 'clean',
  'carried-over': 'other pollen on them',
  'no-bee': 'no',
  'bee-in': 'yes',
  read: 'read',
  unreadable: 'gone, or not to be read',
  whole: checkWords.whole,
  torn: checkWords.torn,
  holed: checkWords.holed,
  insect: checkWords.insect,
};

type NameOf = (link: ProofLinkKind) => string;

function questionOf({ link }: Addable, nameOf: NameOf): string {
  switch (link) {
    case 'shut-before':
      return 'Was it still shut when it was covered?';
    case 'whole':
      return 'Its closure, before it was worked';
    case 'anthers-out':
      return 'Its anthers';
    case 'fathers':
      return 'The males that were used';
    case 'clean':
      return 'Hands and tool';
    case 'no-insect':
      return 'Did a bee get in?';
    case 'shut-again':
      return 'Was it shut again?';
    case 'kept-shut':
      return 'Its closure, later on: which day?';
    default:
      return nameOf(link);
  }
}

/** The way to what was seen and not written down. It stays on record that it was only written now. */
export function AddLater({
  flower,
  growing,
  chain,
  nameOf,
}: {
  flower: Flower;
  growing: Growing;
  chain: ProofChain;
  /** What a link without a question of its own is called. */
  nameOf: NameOf;
}) {
  const { state, today, place } = useGarden();
  const [open, setOpen] = useState(false);
  const { busy, problem, saveAt } = useRecording();
  const addable = addableTo(flower, chain, growing.crop, state, today, place.zone);
  if (addable.length === 0 && !open) return null;
  const add = ({ drafts, at }: Addition) => {
    if (!busy) void saveAt(at === null ? null : Date.parse(at), ...drafts);
  };
  return (
    <>
      <Button title="Add what was seen, and not written down" onPress={() => setOpen(true)} />
      {open ? (
        <Sheet open onClose={() => setOpen(false)} title="Seen, and not written down">
          <Txt>
            Only what somebody saw. Written by the day after, it counts as if written on the spot; later, from
            memory, it can make a fruit good and no better.
          </Txt>
          {problem ? <Notice tone="brick" text={problem} /> : null}
          {addable.map((each) =>
            each.days.length > 0 ? (
              <KeptShut
                key={each.asks}
                addable={each}
                question={questionOf(each, nameOf)}
                flower={flower}
                onAdd={add}
              />
            ) : (
              <Answers
                key={`${each.link} ${each.asks}`}
                question={questionOf(each, nameOf)}
                answers={each.answers}
                onAdd={add}
              />
            ),
          )}
          {addable.length === 0 ? <Txt>All of it is answered.</Txt> : null}
          <Button title="Done" look="main" onPress={() => setOpen(false)} />
        </Sheet>
      ) : null}
    </>
  );
}

function Answers({
  question,
  answers,
  onAdd,
}: {
  question: string;
  answers: readonly Addition[];
  onAdd: (addition: Addition) => void;
}) {
  return (
    <Tiles question={question}>
      {answers.map((each) => (
        <Tile
          key={each.says}
          title={answerWords[each.says] ?? each.says}
          label={`${question}: ${answerWords[each.says] ?? each.says}`}
          small
          chosen={false}
          onPress={() => onAdd(each)}
        />
      ))}
    </Tiles>
  );
}

/** A look at its closure days ago: which day and about what hour has to be said before how it was found. */
function KeptShut({
  addable,
  question,
  flower,
  onAdd,
}: {
  addable: Addable;
  question: string;
  flower: Flower;
  onAdd: (addition: Addition) => void;
}) {
  const { place, prefs, now } = useGarden();
  const [day, setDay] = useState<string | null>(null);
  const [hour, setHour] = useState<number | null>(null);
  const ofDay =
    day === null ? [] : HOURS.map((each) => ({ each, at: atLocalTime(day, each, 0, place.zone) }));
  return (
    <>
      <Tiles question={question}>
        {addable.days.map((each) => (
          <Tile
            key={each}
            title={shortDayText(each)}
            small
            chosen={day === each}
            onPress={() => {
              setDay(each);
              setHour(null);
            }}
          />
        ))}
      </Tiles>
      {day === null ? null : (
        <Tiles question="About what hour?">
          {ofDay
            .filter((each) => each.at <= now)
            .map((each) => (
              <Tile
                key={each.each}
                title={`about ${clockText(each.at, place.zone, prefs.clock === '12')}`}
                small
                chosen={hour === each.each}
                onPress={() => setHour(each.each)}
              />
            ))}
        </Tiles>
      )}
      {day === null || hour === null ? null : (
        <Answers
          question={`Its closure on ${shortDayText(day)}`}
          answers={keptShutOn(flower, day, hour, place.zone)}
          onAdd={onAdd}
        />
      )}
    </>
  );
}
