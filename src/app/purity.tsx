import { useState } from 'react';
import { Pressable } from 'react-native';
import { useRouter } from 'expo-router';
import { csvText } from '@core/formats';
import { GRADES, type ListedFruit, type VarietyPurity } from '@core/purity';
import { saveFile } from '@/data/device/files';
import { useYearPurity } from '@/data/study/study';
import { useGarden } from '@/data/garden/garden';
import { BETWEEN, BESIDE, Row, Badge, Button, Card, Tile, Tiles } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { LongList } from '@/ui/LongList';
import { Page } from '@/ui/Page';
import { ProofDrawing } from '@/ui/purity/ProofDrawing';
import {
  chainWords,
  fruitName,
  gradeText,
  gradeTone,
  gradeWords,
  linkNames,
  shareWords,
  type FruitName,
} from '@/ui/purity/words';
import { Txt, useColours, useIsWide } from '@/ui/theme';
import { plural } from '@/ui/words';

const FEW = 6;

/** How pure the seed of each variety is, by its fruits. */
function PurityPage() {
  const { state, today } = useGarden();
  const router = useRouter();
  const [chosen, setChosen] = useState<string | null>(null);
  const answer = useYearPurity(chosen);
  const reports = answer?.varieties ?? [];
  const csv = () =>
    saveFile(
      `steady-trowel-purity-${today}.csv`,
      'text/csv;charset=utf-8',
      csvText(rowsOf(reports, nameOf), { guardFormulas: true }),
    );
  const wide = useIsWide();
  const nameOf = ({ flower }: ListedFruit) => fruitName(state, flower);
  const cards = (of: typeof reports) => (
    <LongList
      items={of}
      keyOf={({ variety }) => variety}
      row={(report) => (
        <ReportCard
          report={report}
          nameOf={nameOf}
          onOpen={(id) => router.navigate({ pathname: '/proof/[id]', params: { id } })}
          onPrint={() =>
            router.navigate({
              pathname: '/purity-sheet',
              params: { variety: report.variety, ...(answer?.year ? { year: answer.year } : null) },
            })
          }
        />
      )}
      about={900}
      short={8}
      gap={12}
    />
  );
  const half = wide ? Math.ceil(reports.length / 2) : reports.length;
  const years = answer?.years ?? [];
  return (
    <Page
      title="Purity"
      over="How pure is the seed, by what was seen"
      corner={<Button title="Fruit" look="quiet" small onPress={() => router.navigate('/fruit')} />}
      side={half < reports.length ? cards(reports.slice(half)) : undefined}
      foot={reports.length > 0 ? <Button title="Save as a table (CSV)" onPress={csv} /> : undefined}
    >
      {years.length > 1 ? (
        <Tiles question="Worked in">
          {years.map((each) => (
            <Tile
              key={each}
              title={each}
              small
              chosen={each === answer?.year}
              onPress={() => setChosen(each)}
            />
          ))}
        </Tiles>
      ) : null}
      {answer === null ? (
        <Txt role="status">Adding up …</Txt>
      ) : reports.length === 0 ? (
        <Txt>No fruit for seed yet. Each flower worked for seed comes up here with its proof.</Txt>
      ) : null}
      {cards(reports.slice(0, half))}
    </Page>
  );
}

function ReportCard({
  report: { name, fruits, grade, share, mothers, fathers },
  nameOf,
  onOpen,
  onPrint,
}: {
  report: VarietyPurity;
  nameOf: (fruit: ListedFruit) => FruitName;
  onOpen: (flower: string) => void;
  onPrint: () => void;
}) {
  const [all, setAll] = useState(false);
  const counts = GRADES.flatMap((each) => {
    const of = fruits.filter((fruit) => fruit.grade === each);
    return [...new Set(of.map(gradeText))].map(
      (words) => `${of.filter((fruit) => gradeText(fruit) === words).length} ${words}`,
    );
  });
  return (
    <Card>
      <Row style={BETWEEN}>
        <Txt size="heading" style={BESIDE}>
          {name}
        </Txt>
        <Badge text={gradeWords[grade]} tone={gradeTone[grade]} />
      </Row>
      <Txt>{`${plural(fruits.length, 'fruit', 'fruits')}: ${counts.join(', ')}.`}</Txt>
      <Txt>{shareWords(share)}</Txt>
      <Txt size="label" tone="muted">
        {`${plural(mothers, 'mother')}, ${plural(fathers, 'father')}. A variety is as good as its weakest fruit; keep fruits apart, and the better ones stay better.`}
      </Txt>
      <LongList
        items={all ? fruits : fruits.slice(0, FEW)}
        keyOf={({ flower }) => flower}
        row={(fruit) => <FruitRow fruit={fruit} name={nameOf(fruit)} onOpen={() => onOpen(fruit.flower)} />}
        about={92}
      />
      {!all && fruits.length > FEW ? (
        <Button title={`Show all ${fruits.length}`} look="quiet" small onPress={() => setAll(true)} />
      ) : null}
      <Button title="Print" label={`Print the proof of ${name}`} look="quiet" small onPress={onPrint} />
    </Card>
  );
}

function FruitRow({
  fruit: { links, grade, untrue },
  name,
  onOpen,
}: {
  fruit: ListedFruit;
  name: FruitName;
  onOpen: () => void;
}) {
  const colours = useColours();
  const mark = name.mark ?? 'no mark';
  return (
    <Pressable
      role="link"
      aria-label={`${mark}, ${name.place}: ${chainWords(links, grade, untrue)}`}
      onPress={onOpen}
      style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingVertical: 8, gap: 4, minHeight: 48 }}
    >
      <Row>
        <Txt size="strong" style={BESIDE}>
          {`${mark} · ${name.place}`}
        </Txt>
        <Badge text={gradeText({ grade, untrue })} tone={gradeTone[grade]} />
      </Row>
      <ProofDrawing links={links} grade={grade} untrue={untrue} height={18} />
    </Pressable>
  );
}

const HEADS = [
  'variety',
  'mark',
  'fruit',
  'grade',
  'weakest_link',
  'foreign_low',
  'foreign_likely',
  'foreign_high',
];

/** One row a fruit; shares from 0 to 1. */
function rowsOf(reports: readonly VarietyPurity[], nameOf: (fruit: ListedFruit) => FruitName) {
  return [
    HEADS,
    ...reports.flatMap(({ name, fruits }) =>
      fruits.map((fruit) => {
        const { weakest, foreignShare } = fruit;
        const { mark, place } = nameOf(fruit);
        return [
          name,
          mark,
          place,
          gradeText(fruit),
          weakest ? linkNames[weakest] : null,
          foreignShare.low.toFixed(4),
          foreignShare.likely.toFixed(4),
          foreignShare.high.toFixed(4),
        ];
      }),
    ),
  ];
}

export default gated(PurityPage);
