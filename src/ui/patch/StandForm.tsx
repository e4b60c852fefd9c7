import { View } from 'react-native';
import {
  hasRounds,
  standCrops,
  cropOf,
  FRUIT_SHAPES,
  isEdible,
  reasonsOf,
  systemsOf,
  type CropId,
  type Reason,
} from '@core/crops';
import type { Planting } from '@/data/forms/planting';
import { Field, Notice, Stepper, Tile, Tiles } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt } from '../theme';
import { systemNotes, systemWords, quietWords } from '../words';
import { SownTiles } from '../seed/SownTiles';
import { TraitTiles } from './TraitTiles';
import { VarietyAdvice } from './VarietyAdvice';

export type StandDraft = Required<Planting>;

export const NEW_STAND: StandDraft = {
  crop: 'squash-maxima',
  variety: '',
  shape: 'ribbed',
  plants: 4,
  reason: 'seed',
  system: null,
  traits: {},
  lot: null,
  fruit: null,
};

const REASON_NOTES: readonly { value: Reason; title: string; note: string }[] = [
  { value: 'seed', title: 'Pure seed', note: 'shut, worked, shut again' },
  { value: 'fruit', title: 'Fruit', note: 'too few bees; no shutting' },
  { value: 'cross', title: 'A cross', note: 'father of another variety' },
];

/** For a crop that needs no hand. */
const QUIET_NOTES: typeof REASON_NOTES = [
  { value: 'seed', title: 'Seed', note: 'kept apart from its kin' },
  { value: 'fruit', title: 'The kitchen', note: 'to eat' },
];

/** What grows: crop, variety, shape of its ovary, how many plants, and why. */
export function StandForm({
  value,
  onChange,
  error,
  short,
}: {
  value: StandDraft;
  onChange: (part: Partial<StandDraft>) => void;
  error?: string | null;
  /** No more than who wants something to eat has to say; what for was asked before. */
  short?: boolean;
}) {
  const crop = cropOf(value.crop);
  return (
    <View style={{ gap: 12 }}>
      <Tiles question="Crop">
        {standCrops.map(({ id, name, kinds }) => (
          <Tile
            key={id}
            title={name}
            note={kinds.split(',')[0]}
            chosen={value.crop === id}
            onPress={() => onChange(ofCrop(id, value.reason))}
            minWidth={104}
          />
        ))}
      </Tiles>
      <Txt size="label" tone="muted">
        {crop.botanical}: {crop.kinds}.
      </Txt>
      <Field
        label={short ? 'Variety, if you know' : 'Variety'}
        value={value.variety}
        onChange={(variety) => onChange({ variety })}
        placeholder="as it says on the seed"
        error={error}
      />
      {crop.family === 'cucurbit' && !short ? (
        <Tiles question="Its fruit, so that the drawings look like yours">
          {FRUIT_SHAPES.map((shape) => (
            <Tile
              key={shape}
              title={shape}
              chosen={value.shape === shape}
              onPress={() => onChange({ shape })}
              picture={
                <FlowerDrawing sex="female" appearance="coloured" shape={shape} crop={crop.id} size={56} />
              }
              minWidth={60}
            />
          ))}
        </Tiles>
      ) : null}
      {systemsOf(crop).length > 1 && !short ? (
        <Tiles question="Its flowers, if you know">
          {systemsOf(crop).map((system, i) => (
            <Tile
              key={system}
              title={systemWords[system]}
              note={i === 0 ? 'the usual' : systemNotes[system]}
              chosen={(value.system ?? systemsOf(crop)[0]) === system}
              onPress={() => onChange({ system: i === 0 ? null : system })}
              minWidth={104}
            />
          ))}
        </Tiles>
      ) : null}
      {short ? null : (
        <TraitTiles crop={crop} traits={value.traits} onChange={(traits) => onChange({ traits })} />
      )}
      <Stepper
        label="Plants"
        value={value.plants}
        least={1}
        most={200}
        onChange={(plants) => onChange({ plants })}
      />
      {short ? null : (
        <SownTiles
          crop={value.crop}
          lot={value.lot}
          fruit={value.fruit}
          none="not said"
          onChange={(lot, fruit) => onChange({ lot, fruit })}
        />
      )}
      {short ? null : <ReasonTiles value={value} onChange={onChange} />}
      <VarietyAdvice crop={crop} variety={value} reason={value.reason} />
      {hasRounds(crop) ? null : <Notice tone="leaf" text={quietWords(crop)} />}
      {isEdible(crop) ? null : <Notice tone="brick" text={crop.caution} />}
    </View>
  );
}

/** What it is grown for. */
export function ReasonTiles({
  value,
  onChange,
  asked = true,
}: {
  value: StandDraft;
  onChange: (part: Partial<StandDraft>) => void;
  /** `false` until somebody answered: nothing shows as chosen before. */
  asked?: boolean;
}) {
  const crop = cropOf(value.crop);
  return (
    <Tiles question={hasRounds(crop) ? 'What do you pollinate for?' : 'What is it for?'}>
      {(hasRounds(crop) ? REASON_NOTES : QUIET_NOTES)
        .filter(({ value: reason }) => reasonsOf(crop).includes(reason))
        .map(({ value: reason, title, note }) => (
          <Tile
            key={reason}
            title={title}
            note={note}
            chosen={asked && value.reason === reason}
            onPress={() => onChange({ reason })}
            minWidth={100}
          />
        ))}
    </Tiles>
  );
}

/** A form turned to another crop: what was said of the variety before does not hold for it. */
function ofCrop(id: CropId, reason: Reason): Partial<StandDraft> {
  const crop = cropOf(id);
  const reasons = reasonsOf(crop);
  return {
    crop: id,
    shape: crop.usualShape,
    system: null,
    traits: {},
    lot: null,
    fruit: null,
    reason: reasons.includes(reason) ? reason : (reasons[0] ?? 'fruit'),
  };
}
