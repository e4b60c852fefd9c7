import { useState } from 'react';
import { frostAfter, type FirstFrost } from '@core/goals';
import { dayText, isLocalDate, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Card, Field, Button } from '../controls';
import { Txt } from '../theme';

/** When the first frost is to be reckoned with; a question until the grower has said. */
export function FrostCard() {
  const { state, patch, place, today, record } = useGarden();
  const frost = frostAfter(state, place, today);
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const save = async () => {
    const text = (typed ?? '').trim();
    if (!patch || !isLocalDate(`2024-${text}`))
      return setError(`"${text}" is not a day like ${place.latitude < 0 ? '05-05' : '10-05'}`);
    await record({ kind: 'frostExpected', patch: patch.id, frostOn: text });
    setTyped(null);
    setError(null);
  };
  return (
    <Card>
      <Txt size="heading">
        {frost.from === 'said' ? 'First frost' : 'When does the first frost usually come here?'}
      </Txt>
      <Txt>{frostSentence(frost)}</Txt>
      <Field
        label="Your own date (MM-DD)"
        value={typed ?? patch?.frostOn ?? ''}
        onChange={setTyped}
        error={error}
      />
      <Button title="Keep this frost date" small disabled={typed === null} onPress={() => void save()} />
    </Card>
  );
}

function frostSentence({ from, early, late }: FirstFrost): string {
  if (from === 'said' && early) return `Reckoned with on ${dayText(early)}, as you said.`;
  if (from === 'guess' && early && late)
    return `At this latitude perhaps between ${shortDayText(early)} and ${shortDayText(late)}. That is a guess: hills, hollows and the sea move it by weeks. Until you say, no goal is called hopeless because of it.`;
  return 'The latitude does not tell: it depends on the place. Until you say, goals reckon with no frost unless a fruit is wanted by a day.';
}
