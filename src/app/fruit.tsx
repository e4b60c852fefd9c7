import { useState } from 'react';
import { useRouter } from 'expo-router';
import { ALL, type CaseNumber, type Choice, type Grouping } from '@core/study';
import { useStudy } from '@/data/study/study';
import { Button, Card } from '@/ui/controls';
import { CausesCard } from '@/ui/fruit/CausesCard';
import { DropCard, FateCard } from '@/ui/fruit/CurveCards';
import { FilterFoot } from '@/ui/fruit/FilterFoot';
import { GroupsCard } from '@/ui/fruit/GroupsCard';
import { HandsCard } from '@/ui/fruit/HandsCard';
import { KnockedCard } from '@/ui/fruit/KnockedCard';
import { ModelCard } from '@/ui/fruit/ModelCard';
import { SetStats } from '@/ui/fruit/SetStats';
import { ShapeCard } from '@/ui/fruit/ShapeCard';
import { SharesCard } from '@/ui/fruit/SharesCard';
import { overviewWords } from '@/ui/fruit/studyWords';
import { WorkedList } from '@/ui/fruit/WorkedList';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';

const ABOUT = 'Set, drop, and whether it is luck';

/** What set, what dropped, why; and whether a difference is more than luck. */
function Fruit() {
  const router = useRouter();
  const [choice, setChoice] = useState<Choice>(ALL);
  const [grouping, setGrouping] = useState<Exclude<Grouping, 'hands'>>('variety');
  const [pair, setPair] = useState<readonly string[]>([]);
  const [along, setAlong] = useState<CaseNumber>('minutes');
  const [one, two] = pair;
  const { study, working } = useStudy({
    choice,
    grouping,
    pair: one !== undefined && two !== undefined ? [one, two] : null,
    along,
  });
  const corner = (
    <>
      <FindButton />
      <Button title="Purity" look="quiet" small onPress={() => router.navigate('/purity')} />
    </>
  );
  if (study === null)
    return (
      <Page title="Fruit" over={ABOUT} corner={corner}>
        <Txt role="status">Adding up …</Txt>
      </Page>
    );
  if (study.choices.seasons.length === 0) {
    return (
      <Page
        title="Fruit"
        corner={<FindButton />}
        foot={<Button title="Go to Today" look="main" onPress={() => router.replace('/')} />}
      >
        <Txt>
          Every flower you pollinate, one by one or counted, comes up here with what became of it. Today says
          what to work next.
        </Txt>
        <GroupsCard />
      </Page>
    );
  }
  const { overview } = study;
  return (
    <Page
      title="Fruit"
      over={working ? 'Adding up …' : ABOUT}
      corner={corner}
      foot={<FilterFoot choice={choice} choices={study.choices} onChoice={setChoice} />}
      side={
        <>
          <HandsCard study={study} />
          <ModelCard study={study} along={along} onAlong={setAlong} />
          <ShapeCard study={study} />
          <KnockedCard study={study} />
          <WorkedList
            flowers={study.flowers}
            notLookedAt={overview.notLookedAt}
            onOpen={({ id, plant }) =>
              router.navigate({ pathname: '/plant/[id]', params: { id: plant, flower: id } })
            }
          />
          <GroupsCard />
          <Button title="The week on one sheet" onPress={() => router.navigate('/week')} />
        </>
      }
    >
      <Card>
        <Txt size="heading">Set and drop</Txt>
        <SetStats count={overview} />
        <Txt>{overviewWords(study)}</Txt>
        <Txt size="label" tone="muted">
          Only flowers with a verdict count. Those still waiting, and those nobody looked at in time, count as
          neither. A fruit that set and was lost later did set.
        </Txt>
      </Card>
      <SharesCard
        study={study}
        grouping={grouping}
        onGrouping={(each) => {
          setGrouping(each);
          setPair([]);
        }}
        pair={pair}
        onPair={setPair}
      />
      <CausesCard causes={overview.causes} />
      <DropCard study={study} />
      <FateCard study={study} />
    </Page>
  );
}

/** To a fruit by its mark, and to tags, which are printed before there is any. */
function FindButton() {
  const router = useRouter();
  return (
    <Button
      title="Find"
      label="Find a fruit by its mark"
      look="quiet"
      small
      onPress={() => router.navigate('/find')}
    />
  );
}

export default gated(Fruit);
