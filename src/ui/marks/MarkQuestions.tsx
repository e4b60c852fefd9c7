import { growing } from '@core/patch';
import { doubleMarks, twiceMarked } from '@core/purity';
import { useGarden } from '@/data/garden/garden';
import { Card, Notice } from '../controls';
import { Txt } from '../theme';
import { flowerText, listText } from '../words';
import { TwoMarks } from './FoundMark';

/** What the record says of marks and can't be: two on one fruit, or one on two. */
export function MarkQuestions() {
  const { state } = useGarden();
  const nameOf = (id: string) => {
    const flower = state.flowers.get(id);
    const found = flower && growing(state, flower.plant);
    return flower && found ? flowerText(found, flower) : 'a fruit';
  };
  const doubles = doubleMarks(state);
  const twice = twiceMarked(state).flatMap((id) => state.flowers.get(id) ?? []);
  if (doubles.length + twice.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">Marks to look at</Txt>
      {doubles.map(({ mark, flowers }) => (
        <Notice
          key={mark}
          tone="brick"
          text={`${mark} is on ${listText(flowers.map(nameOf))}. Key it under “Find a fruit”, and say which one it is not on.`}
        />
      ))}
      {twice.map((flower) => (
        <TwoMarks key={flower.id} flower={flower} name={nameOf(flower.id)} />
      ))}
    </Card>
  );
}
