import { useState } from 'react';
import { View } from 'react-native';
import { workedForKitchen, type Draft, type Flower } from '@core/ledger';
import { plantName } from '@core/patch';
import type { KitchenPlant, Leaving, OpenFemale, OpenState } from '@core/kitchen';
import type { FlowerId, PlantId } from '@core/ids';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { BESIDE, Button, Row } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { GoneTiles } from '../round/StopQuestions';
import { Txt, useColours } from '../theme';
import { useAskHour } from '../useAskHour';
import { flowerPlace } from '../words';

const howWords: Record<OpenState, string> = {
  due: 'should be open',
  perhaps: 'may be open',
  worked: 'worked',
  passed: 'its morning has passed: what became of it?',
  again: 'worked yesterday: once more if it is still fresh',
};

/** The females of one plant that open this morning, each with what can be said of it, and a key for one nobody noted. */
export function FemaleRows({
  plant: { growing, females, tool, seed: seedStand },
  from,
  saidTool,
  leaving,
  busy,
  onSave,
}: {
  plant: KitchenPlant;
  /** The plant whose males are used, where somebody said so. */
  from: PlantId | null;
  /** Whether the tool was said; what was not said is not recorded. */
  saidTool: boolean;
  /** Where some are left to the insects: whether the next is. */
  leaving: Leaving | null;
  busy: boolean;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { newId } = useGarden();
  const colours = useColours();
  const mark = useNextMark();
  const hour = useAskHour(growing.crop);
  const name = plantName(growing);
  const work = (flower: string, seed: boolean, known?: Flower): Draft[] => [
    seed || from || saidTool
      ? {
          kind: 'pollinated',
          flower,
          fathers: from ? [{ plant: from, males: 1, flowers: [] }] : [],
          ...(saidTool ? { tool } : {}),
          purpose: seed ? 'seed' : 'kitchen',
        }
      : workedForKitchen(flower),
    ...(seed && !known?.mark ? [{ kind: 'marked', flower, mark } as const] : []),
  ];
  const another = (then: (flower: FlowerId) => Draft[]) => {
    const flower = newId('flower');
    onSave(
      { kind: 'flowerSeen', flower, plant: growing.plant.id, sex: 'female', stage: 'open', node: null },
      ...then(flower),
    );
  };
  return (
    <View style={{ gap: 6, borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 6 }}>
      <Row>
        <Txt size="strong" style={BESIDE}>
          Plant {growing.plant.label}
        </Txt>
        <Button
          title={females.length > 0 ? 'Another open one: worked' : 'An open female: worked'}
          label={`${name}: ${females.length > 0 ? 'another' : 'an'} open female, worked${seedStand ? `, mark ${mark}` : ''}`}
          small
          disabled={busy}
          onPress={() => hour.ask(() => another((flower) => work(flower, seedStand)))}
        />
        {leaving ? (
          <Button
            title="Left"
            label={`${name}: an open female, left to the insects`}
            small
            disabled={busy}
            onPress={() => another((flower) => [{ kind: 'leftOpen', flower }])}
          />
        ) : null}
      </Row>
      {hour.sheet}
      {females.map((each) => (
        <FemaleRow
          key={each.flower.id}
          female={each}
          name={name}
          growing={growing}
          mark={mark}
          leaving={leaving !== null}
          busy={busy}
          onWorked={() => hour.ask(() => onSave(...work(each.flower.id, each.seed, each.flower)))}
          onSave={onSave}
        />
      ))}
    </View>
  );
}

function FemaleRow({
  female: { flower, how, seed },
  growing,
  name,
  mark,
  leaving,
  busy,
  onWorked,
  onSave,
}: {
  female: OpenFemale;
  growing: KitchenPlant['growing'];
  name: string;
  mark: string;
  leaving: boolean;
  busy: boolean;
  onWorked: () => void;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { place } = useGarden();
  const [gone, setGone] = useState(false);
  const at = flowerPlace(flower);
  const where = [name, at].filter(Boolean).join(', ');
  const key = (title: string, drafts: () => Draft[], more = '') => (
    <Button
      title={title}
      small
      label={`${where}: ${title.toLowerCase()}${more}`}
      disabled={busy}
      onPress={() => onSave(...drafts())}
    />
  );
  return (
    <Row>
      <FlowerDrawing
        {...flowerAppearance(flower, growing.crop, place.zone)}
        shape={growing.variety.shape}
        crop={growing.crop.id}
        size={46}
      />
      <View style={[BESIDE, { gap: 4 }]}>
        <Txt>
          {[at, how === 'worked' ? '✓ worked' : howWords[how]].filter(Boolean).join(' · ')}
          {flower.mark ? ` · mark ${flower.mark}` : ''}
        </Txt>
        {how === 'worked' ? null : (
          <Row gap={6}>
            <Button
              title={seed && !flower.mark ? `Worked, mark ${mark}` : 'Worked'}
              small
              label={`${where}: worked${seed && !flower.mark ? `, mark ${mark}` : ''}`}
              disabled={busy}
              onPress={onWorked}
            />
            {leaving && how !== 'again'
              ? key('Left to the insects', () => [{ kind: 'leftOpen', flower: flower.id }])
              : null}
            {how === 'passed' ? (
              <>
                {key('Not reached', () => [{ kind: 'missed', flower: flower.id, why: 'not-reached' }])}
                {key('Already shut', () => [{ kind: 'missed', flower: flower.id, why: 'already-shut' }])}
              </>
            ) : how === 'again' ? null : (
              <>
                {key('Not open yet', () => [
                  { kind: 'closureChecked', flower: flower.id, result: 'not-open' },
                ])}
                {key('Already shut', () => [{ kind: 'missed', flower: flower.id, why: 'already-shut' }])}
              </>
            )}
            <Button
              title="Gone"
              small
              label={`${where}: gone`}
              disabled={busy}
              onPress={() => setGone(!gone)}
            />
          </Row>
        )}
        {gone ? <GoneTiles onCause={(cause) => onSave({ kind: 'lost', flower: flower.id, cause })} /> : null}
      </View>
    </Row>
  );
}
