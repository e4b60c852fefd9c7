import {
  CORN_KINDS,
  cornName,
  PEPPER_SPECIES,
  PICKED,
  traitsOf,
  type Crop,
  type Trait,
  type VarietyTraits,
} from '@core/crops';
import { Tile, Tiles } from '../controls';
import { pickedWords } from '../words';

interface Question {
  readonly question: string;
  readonly answers: readonly { readonly value: string | boolean; readonly title: string }[];
}

const yesOrNo = (question: string, yes: string, no: string): Question => ({
  question,
  answers: [
    { value: true, title: yes },
    { value: false, title: no },
  ],
});

function questionOf(trait: Trait, crop: Crop): Question {
  switch (trait) {
    case 'species':
      return {
        question: 'Species, if you know',
        answers: PEPPER_SPECIES.map((value) => ({ value, title: value })),
      };
    case 'picked':
      return {
        question: 'Its fruit is picked',
        answers: PICKED.map((value) => ({ value, title: pickedWords(crop, value) })),
      };
    case 'f1':
      return yesOrNo('On the packet, if you know', 'F1 hybrid', 'not F1');
    case 'seedless':
      return yesOrNo('Its fruit, if you know', 'seedless', 'with seeds');
    case 'small':
      return yesOrNo('Size of its fruit, if you know', 'up to about 90 g', 'larger');
    case 'stigmaOut':
      return yesOrNo('Its stigma, if you know', 'stands out of the cone', 'inside');
    case 'corn':
      return {
        question: 'Grown as, if you know',
        answers: CORN_KINDS.map((value) => ({ value, title: cornName(value) })),
      };
    case 'barrier':
      return yesOrNo('Pollen barrier, if you know', 'has one', 'has none');
  }
}

/** What else can be said of a variety; a second tap takes an answer back, and what nobody says is not recorded. */
export function TraitTiles({
  crop,
  traits,
  onChange,
}: {
  crop: Crop;
  traits: VarietyTraits;
  onChange: (traits: VarietyTraits) => void;
}) {
  return traitsOf(crop, traits).map((trait) => {
    const { question, answers } = questionOf(trait, crop);
    const { [trait]: said, ...rest } = traits;
    return (
      <Tiles key={trait} question={question}>
        {answers.map(({ value, title }) => (
          <Tile
            key={title}
            title={title}
            small
            chosen={said === value}
            onPress={() => onChange(said === value ? rest : { ...rest, [trait]: value })}
            minWidth={90}
          />
        ))}
      </Tiles>
    );
  });
}
