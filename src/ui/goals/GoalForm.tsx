import { PRECIOUS, type Goal, type Stand, type Variety } from '@core/ledger';
import { cropOf, isEdible, reasonsOf, seedsInOne, seedsPerGram } from '@core/crops';
import type { ReadGoal, TypedGoal } from '@/data/forms/goalForm';
import { limitsOf } from '@/data/forms/limits';
import { useGarden } from '@/data/garden/garden';
import { distanceText, rangeText } from '../words';
import { Card, DateField, Notice, Stepper, Tile, Tiles } from '../controls';
import { TypedField } from '../forms/TypedField';
import type { Typed } from '../forms/useTyped';
import { FatherChoice } from './FatherChoice';
import { VarietyAdvice } from '../patch/VarietyAdvice';
import { Txt } from '../theme';

const preciousWords = {
  spare: { title: 'easy to replace', note: 'less for it when time is short' },
  keep: { title: 'keeps the variety', note: 'the usual' },
  rare: { title: 'irreplaceable', note: 'first in every round' },
} as const;

/** What is asked of a stand: amounts as they are typed, the rest by tapping. */
export function GoalForm({
  stand,
  variety,
  of,
}: {
  stand: Stand;
  variety: Variety;
  of: Typed<TypedGoal, ReadGoal>;
}) {
  const { prefs } = useGarden();
  const { goal, by } = of.value;
  const crop = cropOf(variety.crop);
  const set = (part: Partial<Goal>) => of.set({ goal: { ...goal, ...part } });
  const perGram = seedsPerGram(crop.id);
  const keeps = seedsInOne(crop) !== null && (stand.reason === 'cross' || reasonsOf(crop).includes('seed'));
  return (
    <>
      <VarietyAdvice crop={crop} variety={variety} reason={stand.reason === 'cross' ? 'cross' : 'seed'} />
      <Card>
        {keeps ? (
          <>
            <TypedField
              of={of}
              name="amount"
              label="Seed wanted (leave empty for none)"
              keyboard="decimal-pad"
            />
            <Tiles question="Counted in" hideQuestion>
              {(['seeds', 'grams'] as const).map((unit) => (
                <Tile
                  key={unit}
                  title={unit === 'grams' ? 'grams' : 'seeds'}
                  note={unit === 'grams' && perGram ? `${rangeText(perGram.value)} seeds a gram` : undefined}
                  small
                  chosen={(goal.seed?.unit ?? 'seeds') === unit}
                  onPress={() => set({ seed: { amount: goal.seed?.amount ?? 1, unit } })}
                />
              ))}
            </Tiles>
          </>
        ) : (
          <Txt>No seed is kept of {crop.plural}: only fruit.</Txt>
        )}
        {isEdible(crop) ? (
          <TypedField
            of={of}
            name="kitchen"
            label="Fruits wanted for the kitchen (leave empty for none)"
            keyboard="number-pad"
          />
        ) : (
          <Notice tone="brick" text={crop.caution} />
        )}
        <DateField
          label="Ripe by (empty: by the first frost)"
          value={by}
          onChange={(day) => of.set({ by: day })}
          error={of.wrong.by ?? null}
        />
      </Card>
      {keeps ? (
        <Card>
          <Stepper
            label="Mothers: plants that bear seed fruit"
            value={goal.mothers ?? 5}
            unset={goal.mothers === null}
            least={1}
            most={200}
            onChange={(mothers) => set({ mothers })}
          />
          <Stepper
            label="Fathers: plants that give pollen"
            value={goal.fathers ?? 5}
            unset={goal.fathers === null}
            least={1}
            most={200}
            onChange={(fathers) => set({ fathers })}
          />
          {crop.plantsToSave ? (
            <Txt size="label" tone="muted">
              To keep a variety {rangeText(crop.plantsToSave.value.keep)} plants, to conserve it{' '}
              {rangeText(crop.plantsToSave.value.conserve)} ({crop.plantsToSave.source}).
            </Txt>
          ) : null}
          {crop.isolationM ? (
            <Txt size="label" tone="muted">
              Left to the open air seed stays pure only {distanceText(crop.isolationM.value[0], prefs.units)}{' '}
              to {distanceText(crop.isolationM.value[1], prefs.units)} from others it can cross with (
              {crop.isolationM.source}); shut flowers need no distance.
            </Txt>
          ) : null}
          {stand.reason === 'cross' ? (
            <FatherChoice
              variety={variety}
              chosen={goal.fatherVariety}
              onChoose={(fatherVariety) => set({ fatherVariety })}
            />
          ) : null}
          <Tiles question="How precious is the seed?">
            {PRECIOUS.map((precious) => (
              <Tile
                key={precious}
                title={preciousWords[precious].title}
                note={preciousWords[precious].note}
                small
                chosen={goal.precious === precious}
                onPress={() => set({ precious })}
                minWidth={96}
              />
            ))}
          </Tiles>
        </Card>
      ) : null}
      <Card>
        <Txt size="heading">Change the numbers</Txt>
        <Tiles question="How sure to be">
          {[0.7, 0.8, 0.9, 0.95].map((assurance) => (
            <Tile
              key={assurance}
              title={`${Math.round(assurance * 100)} %`}
              small
              chosen={goal.assurance === assurance}
              onPress={() => set({ assurance })}
              minWidth={60}
            />
          ))}
        </Tiles>
        {keeps ? (
          <TypedField
            of={of}
            name="seedsPerFruit"
            label="Seeds in a good fruit (empty: the usual)"
            keyboard="number-pad"
          />
        ) : null}
        <TypedField
          of={of}
          name="setShare"
          label="Of 100 pollinations, so many set (empty: as recorded)"
          keyboard="number-pad"
        />
        {keeps ? (
          <TypedField
            of={of}
            name="wholeShare"
            label="Of 100 closures, so many stay whole (empty: as recorded)"
            keyboard="number-pad"
          />
        ) : null}
        {keeps && crop.family === 'cucurbit' ? (
          <Stepper
            label="Males for one female, in this stand"
            value={goal.bent.malesPerFemale ?? 2}
            unset={goal.bent.malesPerFemale === undefined}
            {...limitsOf('goalSet', 'goal.bent.malesPerFemale')}
            onChange={(malesPerFemale) => set({ bent: { ...goal.bent, malesPerFemale } })}
          />
        ) : null}
      </Card>
    </>
  );
}
