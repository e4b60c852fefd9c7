import { useState } from 'react';
import { CARES, type Care, type Draft, type Stand } from '@core/ledger';
import { plantsOfStand } from '@core/patch';
import { clockText, localDateOf, shortDayText, type LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { limitsOf } from '@/data/forms/limits';
import { Button, DateField, Field, Notice, Sheet, Stepper, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { careWords } from '../words';
import { SprayNotice } from './SprayNotice';

/** Entries shown of what was done before. */
const LATEST = 5;

/** A stand watered, fed, mulched or sprayed, now or on an earlier day; of a spray, the waiting times of its label. What was done before stands below. */
export function CareSheet({
  stand: standNow,
  name,
  onClose,
}: {
  stand: Stand;
  name: string;
  onClose: () => void;
}) {
  // As it stood when the sheet was opened: what is being kept does not push the keys about while the sheet closes.
  const [stand] = useState(standNow);
  const { state, place, prefs, today } = useGarden();
  const { busy, problem, save } = useRecording();
  const [care, setCare] = useState<Care | null>(null);
  const [product, setProduct] = useState('');
  const [reentryHours, setReentry] = useState<number | null>(null);
  const [daysToHarvest, setDays] = useState<number | null>(null);
  const [whole, setWhole] = useState(false);
  const [earlier, setEarlier] = useState(false);
  const [on, setOn] = useState<LocalDate | null>(null);
  const bed = state.beds.get(stand.bed);
  const beside = [...state.stands.values()].filter(
    (each) => each.bed === stand.bed && plantsOfStand(state, each.id).some(({ ended }) => !ended),
  );
  const spray = care === 'sprayed';
  const blocked = care === null || (earlier && on === null);
  const keep = async () => {
    if (blocked || care === null) return;
    const drafts = (whole ? beside : [stand]).map(({ id }): Draft => ({
      kind: 'careGiven',
      stand: id,
      care,
      product,
      reentryHours: spray ? reentryHours : null,
      daysToHarvest: spray ? daysToHarvest : null,
      ...(earlier && on !== null && on !== today ? { on } : {}),
    }));
    if (await save(...drafts)) onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`Care of ${name}`}>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <SprayNotice stand={stand} />
      <Tiles question="What was done?">
        {CARES.map((each) => (
          <Tile
            key={each}
            title={careWords[each]}
            chosen={care === each}
            onPress={() => setCare(each)}
            minWidth={96}
          />
        ))}
      </Tiles>
      {care === null ? null : (
        <Tiles question="When?" hideQuestion>
          <Tile title="just now" chosen={!earlier} onPress={() => setEarlier(false)} minWidth={120} />
          <Tile title="on an earlier day" chosen={earlier} onPress={() => setEarlier(true)} minWidth={120} />
        </Tiles>
      )}
      {care !== null && earlier ? (
        <DateField label="On which day" value={on} onChange={setOn} most={today} />
      ) : null}
      {spray ? (
        <Notice
          tone="brick"
          text="Read the label and keep to it and to local law. Never on open flowers: it kills the bees. Gloves, no wind, no children or animals near."
        />
      ) : null}
      {care === null ? null : (
        <Field
          label={spray ? 'With what, as the label names it (may be left out)' : 'With what (may be left out)'}
          value={product}
          onChange={setProduct}
        />
      )}
      {spray ? (
        <>
          <Stepper
            label={`Hours to keep out, by the label${reentryHours === null ? ' (not noted)' : ''}`}
            value={reentryHours ?? 24}
            unset={reentryHours === null}
            {...limitsOf('careGiven', 'reentryHours')}
            onChange={setReentry}
          />
          <Stepper
            label={`Days until it may be eaten, by the label${daysToHarvest === null ? ' (not noted)' : ''}`}
            value={daysToHarvest ?? 7}
            unset={daysToHarvest === null}
            {...limitsOf('careGiven', 'daysToHarvest')}
            onChange={setDays}
          />
        </>
      ) : null}
      {care !== null && beside.length > 1 ? (
        <Tiles question="Where" hideQuestion>
          <Tile title={`${name} alone`} chosen={!whole} onPress={() => setWhole(false)} minWidth={120} />
          <Tile
            title={`all of ${bed?.name ?? 'the bed'}`}
            chosen={whole}
            onPress={() => setWhole(true)}
            minWidth={120}
          />
        </Tiles>
      ) : null}
      <Button title="Keep it" look="main" busy={busy} disabled={blocked} onPress={() => void keep()} />
      {stand.cares
        .slice(-LATEST)
        .reverse()
        .map((each) => {
          const at = Date.parse(each.at);
          const when = each.on
            ? shortDayText(each.on)
            : `${shortDayText(localDateOf(at, place.zone))} ${clockText(at, place.zone, prefs.clock === '12')}`;
          return (
            <Txt key={each.event} size="label" tone="muted">
              {`${when}: ${careWords[each.care]}${each.product ? ` with ${each.product}` : ''} · ${each.by}`}
            </Txt>
          );
        })}
    </Sheet>
  );
}
