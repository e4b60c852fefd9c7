import { useState } from 'react';
import { frostAfter, type FirstFrost } from '@core/bloom';
import { dayText, isLocalDate, shortDayText, type LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Card, DateField, Button } from '../controls';
import { Txt } from '../theme';

/** When the first frost is to be reckoned with; a question until the grower has said. */
export function FrostCard() {
  const { state, patch, place, today, record } = useGarden();
  const frost = frostAfter(state, place, today);
  // A leap day named in another year has no field in this one.
  const inYear = `${today.slice(0, 4)}-${patch?.frostOn ?? ''}`;
  const said = isLocalDate(inYear) ? inYear : null;
  const [chosen, setChosen] = useState<LocalDate | null>(null);
  const save = async () => {
    if (!patch || chosen === null) return;
    await record({ kind: 'frostExpected', patch: patch.id, frostOn: chosen.slice(5) });
    setChosen(null);
  };
  return (
    <Card>
      <Txt size="heading">
        {frost.from === 'said' ? 'First frost' : 'When does the first frost usually come here?'}
      </Txt>
      <Txt>{frostSentence(frost)}</Txt>
      <DateField label="Your own date, in any year" value={chosen ?? said} onChange={setChosen} everyYear />
      <Button title="Keep this frost date" small disabled={chosen === null} onPress={() => void save()} />
    </Card>
  );
}

function frostSentence({ from, early, late }: FirstFrost): string {
  if (from === 'said' && early) return `Reckoned with on ${dayText(early)}, as you said.`;
  if (from === 'guess' && early && late)
    return `At this latitude perhaps between ${shortDayText(early)} and ${shortDayText(late)}. That is a guess: hills, hollows and the sea move it by weeks. Until you say, no goal is called hopeless because of it.`;
  return 'The latitude does not tell: it depends on the place. Until you say, goals reckon with no frost unless a fruit is wanted by a day.';
}
