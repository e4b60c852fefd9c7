import { useState } from 'react';
import { View } from 'react-native';
import { LinearProgress } from '@rneui/themed';
import { useQueryClient } from '@tanstack/react-query';
import type { AnyEvent } from '@core/ledger';
import type { PracticeRecord } from '@core/practice';
import { localDateOf, shortDayText, type LocalDate } from '@core/time';
import { pickFile } from '@/data/device/files';
import { readFile } from '@/data/device/importing';
import { useGarden } from '@/data/garden/garden';
import { practiceStore } from '@/data/device/practiceStores';
import { Button, Notice } from '../controls';
import { Txt, useColours } from '../theme';
import { plural } from '../words';

type Step =
  | { readonly at: 'idle' }
  | { readonly at: 'reading'; readonly share: number; readonly cancel: () => void }
  | {
      readonly at: 'preview';
      readonly name: string;
      readonly fresh: readonly AnyEvent[];
      readonly practice: readonly PracticeRecord[];
      readonly known: number;
      readonly unknownKinds: number;
    }
  | { readonly at: 'refused'; readonly name: string; readonly message: string }
  | { readonly at: 'done'; readonly added: number };

/** Reads a file, shows what it would add, and adds it only when told to. */
export function ImportCard() {
  const { store, place, space, now } = useGarden();
  const answers = practiceStore(space);
  const client = useQueryClient();
  const colours = useColours();
  const [step, setStep] = useState<Step>({ at: 'idle' });
  const choose = async () => {
    const file = await pickFile();
    if (!file) return;
    const job = readFile(file, (share) => setStep((now) => (now.at === 'reading' ? { ...now, share } : now)));
    setStep({ at: 'reading', share: 0, cancel: job.cancel });
    try {
      const read = await job.result;
      if (!read.ok) return setStep({ at: 'refused', name: file.name, message: read.message });
      const { fresh, clashing } = await store.preview(read.events);
      if (clashing.length > 0) {
        const message = `${plural(clashing.length, 'record')} in the file carry an id that you already have, with other contents (${clashing[0]}). One of the two was edited by hand.`;
        return setStep({ at: 'refused', name: file.name, message });
      }
      setStep({
        at: 'preview',
        name: file.name,
        fresh,
        practice: await answers.missing(read.practice),
        known: read.events.length - fresh.length,
        unknownKinds: read.unknownKinds,
      });
    } catch (problem) {
      const message = (problem as Error).message;
      setStep(message === 'cancelled' ? { at: 'idle' } : { at: 'refused', name: file.name, message });
    }
  };
  const add = async (fresh: readonly AnyEvent[], practice: readonly PracticeRecord[]) => {
    await store.add(fresh);
    await answers.add(practice);
    void client.invalidateQueries({ queryKey: ['practice'] });
    setStep({ at: 'done', added: fresh.length + practice.length });
  };
  const future = step.at === 'preview' ? futureWords(step.fresh, now, place.zone) : null;
  return (
    <View style={{ gap: 8 }}>
      <Button title="Import a file" disabled={step.at === 'reading'} onPress={() => void choose()} />
      {step.at === 'reading' ? (
        <View style={{ gap: 6 }}>
          <LinearProgress
            value={step.share}
            color={colours.pollen}
            trackColor={colours.rule}
            aria-label="Reading"
          />
          <Button title="Stop reading" small onPress={step.cancel} />
        </View>
      ) : null}
      {step.at === 'refused' ? (
        <Notice tone="brick" title={`${step.name}: nothing was imported`} text={step.message} />
      ) : null}
      {step.at === 'preview' ? (
        <Notice
          tone="dusk"
          title={
            step.fresh.length + step.practice.length === 0
              ? `${step.name}: nothing new`
              : `${step.name} would add ${plural(step.fresh.length + step.practice.length, 'record')}`
          }
        >
          <View style={{ flex: 1, gap: 6 }}>
            <Txt>{previewWords(step.fresh, place.zone)}</Txt>
            {future ? <Notice tone="brick" text={future} /> : null}
            {step.known > 0 ? <Txt size="label">{plural(step.known, 'record')} you already have.</Txt> : null}
            {step.unknownKinds > 0 ? (
              <Txt size="label">
                {plural(step.unknownKinds, 'record')} of kinds this version doesn’t know: kept as they are.
              </Txt>
            ) : null}
            {step.practice.length > 0 ? (
              <Txt size="label">{plural(step.practice.length, 'answer')} to the trainer, kept apart.</Txt>
            ) : null}
            {step.fresh.length + step.practice.length > 0 ? (
              <Button
                title={`Add ${plural(step.fresh.length + step.practice.length, 'record')}`}
                look="main"
                onPress={() => void add(step.fresh, step.practice)}
              />
            ) : null}
            <Button title="Leave it" small onPress={() => setStep({ at: 'idle' })} />
          </View>
        </Notice>
      ) : null}
      {step.at === 'done' ? <Notice tone="leaf" text={`${plural(step.added, 'record')} added.`} /> : null}
    </View>
  );
}

function dayWithYear(date: LocalDate): string {
  return `${shortDayText(date)} ${date.slice(0, 4)}`;
}

/** A day of grace: clocks of two devices seldom agree. */
const GRACE_MS = 86_400_000;

/** Records from the time to come: a clock that was wrong, or a year mistyped. `null` where there are none. */
function futureWords(fresh: readonly AnyEvent[], now: number, zone: string): string | null {
  const later = fresh.filter(({ at }) => Date.parse(at) > now + GRACE_MS);
  if (later.length === 0) return null;
  const last = later.reduce((most, { at }) => (at > most ? at : most), '');
  return `${plural(later.length, 'record is', 'records are')} dated after today, the last ${dayWithYear(localDateOf(Date.parse(last), zone))}: a device’s clock was wrong, or a year mistyped. Add them all the same?`;
}

function previewWords(fresh: readonly AnyEvent[], zone: string): string {
  if (fresh.length === 0) return 'Every record in it is here already.';
  const count = (kind: string) => fresh.filter((event) => event.kind === kind).length;
  const parts = [
    plural(count('plantAdded'), 'plant'),
    plural(count('flowerShut'), 'flower shut', 'flowers shut'),
    plural(count('pollinated'), 'pollination'),
    plural(count('lookedAt'), 'look'),
  ];
  const times = fresh.map(({ at }) => at).sort();
  const day = (at: string | undefined) => dayWithYear(localDateOf(Date.parse(at ?? ''), zone));
  return `${parts.join(', ')}, from ${day(times[0])} to ${day(times[times.length - 1])}.`;
}
