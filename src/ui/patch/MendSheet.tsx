import { useState } from 'react';
import { closuresFor, sexesOf, STAGES, TOOLS, CLOSURES } from '@core/crops';
import {
  CHECK_RESULTS,
  CLOSURE_FOUND,
  HARVEST_FOR,
  LOOK_RESULTS,
  LOSS_CAUSES,
  MISSED_WHY,
  PURPOSES,
  type Father,
  type Flower,
  type LedgerEvent,
} from '@core/ledger';
import { fatherVarietyOf, plantName, walkOrder, type Growing } from '@core/patch';
import { lobesOf } from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { limitsOf } from '@/data/forms/limits';
import { Button, Field, Notice, Sheet, Stepper, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import {
  causeWords,
  checkWords,
  closureWords,
  lookWords,
  missedWords,
  sexWords,
  shutWords,
  stageWords,
  toolWords,
} from '../words';
import { storyWords } from './storyWords';

type Changes = Readonly<Record<string, unknown>>;

/** Puts right what an entry says, field by field, or takes it back. What it said before stays in the log. */
export function MendSheet({
  event,
  flower,
  growing,
  onClose,
}: {
  event: LedgerEvent;
  flower: Flower;
  growing: Growing;
  onClose: () => void;
}) {
  const { state, now } = useGarden();
  const { busy, problem, save } = useRecording();
  const [minutes, setMinutes] = useState(0);
  const [changed, setChanged] = useState<Changes>({});
  const at = Date.parse(event.at) - minutes * 60_000;
  const late = at > now + 60_000;
  const changes = { ...changed, ...(minutes === 0 ? {} : { at: new Date(at).toISOString() }) };
  const mended = { ...event, ...changed } as LedgerEvent;
  const finish = async (kind: 'corrected' | 'withdrawn') => {
    const subject = flower.id;
    const done =
      kind === 'withdrawn'
        ? await save({ kind, subject, target: event.id })
        : await save({ kind, subject, target: event.id, changes });
    if (done) onClose();
  };
  return (
    <Sheet open onClose={onClose} title="Mend this entry">
      <Txt>{storyWords(state, mended)}</Txt>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Fields
        event={mended}
        growing={growing}
        onChange={(part) => setChanged((before) => ({ ...before, ...part }))}
      />
      <Stepper
        label="It was earlier, by minutes"
        value={minutes}
        least={-600}
        most={600}
        onChange={setMinutes}
      />
      {late ? (
        <Notice
          tone="brick"
          text="That is later than now. A flower can only be written down once it was seen. When was it?"
        />
      ) : null}
      <Button
        title="Correct it"
        look="main"
        busy={busy}
        disabled={Object.keys(changes).length === 0 || late}
        onPress={() => void finish('corrected')}
      />
      <Button title="Take it back" look="danger" disabled={busy} onPress={() => void finish('withdrawn')} />
      <Txt size="label" tone="muted">
        Nothing is deleted: what it said before stays in the log, as the proof of purity may hang on it.
      </Txt>
    </Sheet>
  );
}

/** The fields of an entry, each as it stands, to be put right. */
function Fields({
  event,
  growing,
  onChange,
}: {
  event: LedgerEvent;
  growing: Growing;
  onChange: (part: Changes) => void;
}) {
  const { crop } = growing;
  switch (event.kind) {
    case 'flowerSeen':
      return (
        <>
          <Choice
            question="Which flower"
            options={sexesOf(crop)}
            words={sexWords}
            value={event.sex}
            onChoose={(sex) => onChange({ sex })}
          />
          <Choice
            question="How far"
            options={STAGES}
            words={stageWords}
            value={event.stage}
            onChoose={(stage) => onChange({ stage })}
          />
          <Stepper
            label="Node"
            value={event.node ?? 1}
            unset={event.node === null}
            {...limitsOf('flowerSeen', 'node')}
            onChange={(node) => onChange({ node })}
          />
        </>
      );
    case 'flowerShut':
      return (
        <Choice
          question="Shut with"
          options={[...new Set([...closuresFor(crop, sexesOf(crop)[0] ?? 'female'), ...CLOSURES])]}
          words={closureWords}
          value={event.closure}
          onChoose={(closure) => onChange({ closure })}
        />
      );
    case 'closureChecked':
      return (
        <Choice
          question="How it was found"
          options={event.result === 'no-pollen' ? CHECK_RESULTS : CLOSURE_FOUND}
          words={checkWords}
          value={event.result}
          onChoose={(result) => onChange({ result })}
        />
      );
    case 'pollinated':
      return <PollinationFields event={event} growing={growing} onChange={onChange} />;
    case 'missed':
      return (
        <Choice
          question="Why it was not worked"
          options={MISSED_WHY}
          words={missedWords}
          value={event.why}
          onChoose={(why) => onChange({ why })}
        />
      );
    case 'marked':
      return <Field label="Mark" value={event.mark} onChange={(mark) => onChange({ mark })} />;
    case 'lookedAt':
      return (
        <Choice
          question="It was"
          options={LOOK_RESULTS}
          words={lookWords}
          value={event.result}
          onChoose={(result) => onChange({ result })}
        />
      );
    case 'lost':
      return (
        <Choice
          question="Lost to"
          options={LOSS_CAUSES}
          words={causeWords}
          value={event.cause}
          onChoose={(cause) => onChange({ cause })}
        />
      );
    case 'harvested':
      return (
        <Choice
          question="Harvested for"
          options={HARVEST_FOR}
          words={{ kitchen: 'the kitchen', seed: 'seed' }}
          value={event.harvestFor}
          onChoose={(harvestFor) => onChange({ harvestFor })}
        />
      );
    default:
      return null;
  }
}

/** Plants offered as fathers in one sheet: more would be a list to search. */
const FATHERS_SHOWN = 12;

function PollinationFields({
  event,
  growing,
  onChange,
}: {
  event: Extract<LedgerEvent, { kind: 'pollinated' }>;
  growing: Growing;
  onChange: (part: Changes) => void;
}) {
  const { state } = useGarden();
  const { crop } = growing;
  const wanted = fatherVarietyOf(growing);
  const named = new Set(event.fathers.map(({ plant }) => plant as string));
  const plants = walkOrder(state)
    .filter(({ plant, variety }) => named.has(plant.id) || variety.id === wanted)
    .sort((a, b) => Number(named.has(b.plant.id)) - Number(named.has(a.plant.id)))
    .slice(0, FATHERS_SHOWN);
  const malesOf = (plant: string) => event.fathers.find((father) => father.plant === plant)?.males ?? 0;
  const setMales = (plant: Father['plant'], males: number) => {
    const others = event.fathers.filter((father) => father.plant !== plant);
    const before = event.fathers.find((father) => father.plant === plant);
    const flowers = (before?.flowers ?? []).slice(0, males);
    onChange({ fathers: males > 0 ? [...others, { plant, males, flowers }] : others });
  };
  const lobes = lobesOf(crop);
  return (
    <>
      {plants.map((each) => (
        <Stepper
          key={each.plant.id}
          label={`Males of ${plantName(each)}`}
          value={malesOf(each.plant.id)}
          least={0}
          most={50}
          onChange={(males) => setMales(each.plant.id, males)}
        />
      ))}
      <Choice
        question="With"
        options={crop.tools.length > 0 ? crop.tools : TOOLS}
        words={toolWords}
        value={event.tool}
        onChoose={(tool) => onChange({ tool })}
      />
      <Choice
        question="Afterwards"
        options={['open', ...closuresFor(crop, sexesOf(crop)[0] ?? 'female')] as const}
        words={shutWords}
        value={event.shutAgain === undefined ? undefined : (event.shutAgain ?? 'open')}
        onChoose={(how) => onChange({ shutAgain: how === 'open' ? null : how })}
      />
      {lobes ? (
        <Stepper
          label="Lobes of the stigma covered"
          value={event.lobes ?? lobes.usual}
          unset={event.lobes === undefined}
          {...limitsOf('pollinated', 'lobes')}
          onChange={(count) => onChange({ lobes: count })}
        />
      ) : null}
      <Stepper
        label="Seconds it stood open"
        value={event.openS ?? 40}
        unset={event.openS === undefined}
        {...limitsOf('pollinated', 'openS')}
        step={10}
        onChange={(openS) => onChange({ openS })}
      />
      <Choice
        question="While it was open"
        options={['no', 'yes'] as const}
        words={{ no: 'no bee got in', yes: 'a bee got in' }}
        value={event.beeIn === undefined ? undefined : event.beeIn ? 'yes' : 'no'}
        onChoose={(bee) => onChange({ beeIn: bee === 'yes' })}
      />
      <Choice
        question="For"
        options={PURPOSES}
        words={{ seed: 'seed', kitchen: 'the kitchen' }}
        value={event.purpose}
        onChoose={(purpose) => onChange({ purpose })}
      />
    </>
  );
}

function Choice<T extends string>({
  question,
  options,
  words,
  value,
  onChoose,
}: {
  question: string;
  options: readonly T[];
  words: Readonly<Record<T, string>> | ((option: T) => string);
  value: T | undefined;
  onChoose: (option: T) => void;
}) {
  const wordsOf = typeof words === 'function' ? words : (option: T) => words[option];
  return (
    <Tiles question={question}>
      {options.map((option) => (
        <Tile
          key={option}
          title={wordsOf(option)}
          small
          chosen={value === option}
          onPress={() => onChoose(option)}
          minWidth={84}
        />
      ))}
    </Tiles>
  );
}
