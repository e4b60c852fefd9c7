import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { confusions, dueCount, skillResults, type PracticeRecord } from '@core/practice';
import { useGarden } from '@/data/garden/garden';
import { usePractice } from '@/data/practice/practice';
import { SkillChart } from '@/ui/charts/SkillChart';
import { Card, Button, Notice } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { ConfusionTable } from '@/ui/practice/ConfusionTable';
import { WhatToAsk } from '@/ui/practice/WhatToAsk';
import { Txt } from '@/ui/theme';
import { plural } from '@/ui/words';

/** Can I tell what I see? The trainer, the rehearsal, and how it goes. */
function Practice() {
  const { now } = useGarden();
  const { records, error } = usePractice();
  const router = useRouter();
  const due = records ? dueCount(records, now) : 0;
  const answered = records?.filter(({ kind }) => kind === 'practised').length ?? 0;
  return (
    <Page
      title="Practice"
      over={
        records === null
          ? 'Opening'
          : answered === 0
            ? 'Nothing asked yet'
            : `${plural(answered, 'answer')} so far · ${due === 0 ? 'nothing due' : `${due} due again`}`
      }
      side={
        records && answered > 0 ? (
          <>
            <Card>
              <Txt size="heading">What is taken for what</Txt>
              <ConfusionTable rows={confusions(records).slice(0, 8)} />
            </Card>
            <Rehearsals records={records} />
          </>
        ) : undefined
      }
    >
      {error ? (
        <Notice
          tone="brick"
          title="Practice records cannot be read"
          text={`The garden’s records are not touched by it. (${error.message})`}
        />
      ) : null}
      <Card>
        <Txt size="heading">Two minutes with the trainer</Txt>
        <Txt>
          Drawn flowers as they really stand: leaning, half behind a leaf, nearly ripe. Every answer says why.
          What you find hard comes back sooner.
        </Txt>
        <WhatToAsk />
        <Button
          title={due > 0 ? `Practise: ${due} due` : 'Practise two minutes'}
          look="main"
          onPress={() => router.navigate('/practice/train')}
        />
      </Card>
      <Card>
        <Txt size="heading">Rehearse an evening</Txt>
        <Txt>
          A made-up patch, a short roll of tape. Decide what to shut; then see the dawn, and the fruit two
          weeks on.
        </Txt>
        <Button title="Begin a rehearsal" onPress={() => router.navigate('/practice/rehearse')} />
      </Card>
      <Card>
        <Txt size="heading">A walk with children</Txt>
        <Txt>
          Find a female, a male, a bud of tomorrow; count them, and hear what they are. Nothing is written
          down.
        </Txt>
        <Button title="Walk with children" onPress={() => router.navigate('/practice/children')} />
      </Card>
      {records && answered > 0 ? (
        <Card>
          <Txt size="heading">How it goes</Txt>
          <SkillChart results={skillResults(records)} />
          <Txt size="label" tone="muted">
            The latest 60 answers of each; the bar holds the true rate 8 times in 10. Practice is kept apart
            from the garden&apos;s records, and goes into the same file.
          </Txt>
        </Card>
      ) : null}
    </Page>
  );
}

function Rehearsals({ records }: { records: readonly PracticeRecord[] }) {
  const done = records
    .filter((record) => record.kind === 'rehearsed')
    .slice(-5)
    .reverse();
  if (done.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">Rehearsals</Txt>
      {done.map((record) => (
        <View key={record.id}>
          <Txt>
            {record.kind === 'rehearsed'
              ? `${plural(record.fruits, 'pure fruit')} of ${record.best} that could be had`
              : ''}
          </Txt>
        </View>
      ))}
    </Card>
  );
}

export default gated(Practice);
