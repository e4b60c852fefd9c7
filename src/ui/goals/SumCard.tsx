import { View } from 'react-native';
import { hasTrusses, VISITS_A_DAY, type Crop } from '@core/crops';
import type { GoalPart, GoalSum } from '@core/goals';
import { shortDayText } from '@core/time';
import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';
import { BETWEEN, Row, BESIDE, Badge, Card } from '../controls';
import { Txt, useColours } from '../theme';
import { closureWords, plural, tapeText } from '../words';
import { fromWords, standingSentence, standingTone, standingBadge } from './words';
import type { Units } from '@/data/device/prefs';

const pct = (share: number) => `${Math.round(share * 100)} %`;

/** The way from what is wanted back to tonight's tape, a line for each step. */
export function SumCard({ sum }: { sum: GoalSum }) {
  const { prefs, state } = useGarden();
  const rows = [
    ...seedRows(sum),
    ...(sum.forKitchen.wanted > 0
      ? [['Fruits for the kitchen', String(sum.forKitchen.wanted), doneWords(sum.forKitchen)] as const]
      : []),
    pollinationsRow(sum),
    ...(sum.forSeed.pollinations > 0
      ? shuttingRows(sum, prefs.units, state.varieties.get(sum.goal.fatherVariety ?? '')?.name ?? null)
      : []),
    [
      'Time',
      `${sum.minutes} min`,
      sum.stand.reason === 'cross' && sum.crop.flowers.perfect
        ? `in all; a mother dabbed with a brush is visited ${VISITS_A_DAY} times`
        : 'in all, evenings and mornings',
    ] as const,
    ...(sum.morningsLeft === null
      ? []
      : [
          [
            'Mornings left',
            String(sum.morningsComing),
            `until ${sum.lastUsefulOn ? shortDayText(sum.lastUsefulOn) : '–'}${sum.morningsComing === sum.morningsLeft ? '' : ', those when you are away left out'}; about ${sum.perMorning.toFixed(1)} ${openingWords(sum.crop)} a day`,
          ] as const,
        ]),
  ];
  return (
    <Card>
      <Row style={BETWEEN}>
        <Txt size="heading">The sum</Txt>
        <Badge text={standingBadge(sum)} tone={standingTone[sum.standing]} />
      </Row>
      <Txt>{standingSentence(sum)}</Txt>
      {sum.plan.now > 0 ? <Chances plan={sum.plan} shut={sum.femalesToShut > 0} /> : null}
      {rows.map(([name, value, why]) => (
        <SumRow key={name} name={name} value={value} why={why} />
      ))}
    </Card>
  );
}

const bars = piece(() => import('./ChanceBars'));

/** Looked at by those who wonder, so it is fetched with a goal's page. */
function Chances(of: { plan: GoalSum['plan']; shut: boolean }) {
  const { ChanceBars } = usePiece(bars, true) ?? {};
  return ChanceBars ? <ChanceBars {...of} /> : <View style={{ minHeight: 100 }} />;
}

type SumLine = readonly [name: string, value: string, why: string];

const doneWords = ({ set, waiting }: GoalPart) => `${set} set, ${waiting} waiting on the plants`;

function seedRows({
  seeds,
  seedsPerFruit,
  goal,
  forSeed,
  seedUnknown,
  mothers,
  fathers,
}: GoalSum): SumLine[] {
  if (seeds === null || !seedsPerFruit) return [];
  const plants = [
    goal.mothers ? `${mothers} of ${goal.mothers} mothers` : null,
    goal.fathers ? `${fathers} of ${goal.fathers} fathers` : null,
  ].filter(Boolean);
  return [
    [
      'Seeds',
      String(Math.round(seeds)),
      goal.seed?.unit === 'grams' ? `${goal.seed.amount} g by the usual weight` : 'wanted',
    ],
    [
      'Fruits for seed',
      String(forSeed.wanted),
      `${seedsPerFruit.value} seeds in one (${fromWords[seedsPerFruit.from]})${goal.mothers && goal.mothers >= forSeed.wanted ? `; one for each of ${goal.mothers} mothers` : ''}; ${doneWords(forSeed)}${seedUnknown > 0 ? `, ${seedUnknown} of them grown without saying anything of seed until opened` : ''}`,
    ],
    ...(plants.length > 0
      ? [
          [
            'Fruits still to come',
            String(forSeed.left),
            `behind the set fruit stand ${plants.join(', ')}`,
          ] as const,
        ]
      : []),
  ];
}

/** What a merely guessed set rate costs, and what would mend that. */
function doubtWords({ known, asKnown, toHalve }: GoalSum['doubt']): string {
  const cost = asKnown - known;
  if (cost < 2 || !Number.isFinite(cost)) return '';
  const mend = toHalve === null ? '' : `; ${toHalve} more verdicts of your own would halve that`;
  return `. Were that share certain, ${known} would do; not knowing it costs ${cost}${mend}`;
}

function pollinationsRow({ pollinations, setShare, setRate, goal, doubt }: GoalSum): SumLine {
  const own =
    setRate.own.n > 0 && setShare.from === 'records' ? `, ${setRate.own.k} of ${setRate.own.n} here` : '';
  return [
    'Pollinations',
    Number.isFinite(pollinations) ? String(pollinations) : 'too many',
    `${pct(setShare.value)} set (${fromWords[setShare.from]}${own}); enough with ${pct(goal.assurance)} certainty${doubtWords(doubt)}`,
  ];
}

function shuttingRows(sum: GoalSum, units: Units, father: string | null): SumLine[] {
  const { crop } = sum;
  const length = tapeText(sum.tapeCm, units);
  if (sum.underCover !== null) return coverRows(sum, length);
  const perfect = crop.flowers.perfect !== undefined;
  const males = perfect ? 'Father buds to bag' : crop.family === 'corn' ? 'Tassels to bag' : 'Males to shut';
  return [
    [
      perfect ? 'Mothers to open and bag' : crop.family === 'corn' ? 'Shoots to bag' : 'Females to shut',
      String(sum.femalesToShut),
      `${pct(sum.wholeShare.value)} stay whole in ${closureWords[sum.closure]} (${fromWords[sum.wholeShare.from]})`,
    ],
    ...(sum.shutNow < sum.femalesToShut
      ? [
          [
            'Of these, before the next look',
            String(sum.shutNow),
            `look, and shut more only if need be: about ${plural(Math.ceil(sum.plan.expected), 'pollination')} in the end`,
          ] as const,
        ]
      : []),
    [
      males,
      String(sum.malesToShut),
      `${father ? `${father}: ` : ''}${sum.malesPerFemale.value} for one, and a spare`,
    ],
    [
      'Pockets',
      sum.tapeCm > 0 ? length : plural(sum.bags, 'bag'),
      `${sum.tapeCm > 0 ? 'tape, ' : ''}${plural(sum.marks, 'mark')}, a brush of its own`,
    ],
  ];
}

/** Flowers that pollinate themselves under their cover: no father is named, and none is bagged. */
function coverRows(
  { crop, femalesToShut, underCover, wholeShare, closure, tapeCm, bags, marks }: GoalSum,
  tape: string,
): SumLine[] {
  return [
    [
      hasTrusses(crop) ? 'Trusses to bag' : 'Buds or twigs to bag',
      String(femalesToShut),
      `${plural(underCover ?? 1, 'flower')} or so under each, before anything in it opens; ${pct(wholeShare.value)} stay whole in ${closureWords[closure]}. They pollinate themselves: shake them a few mornings, no father`,
    ],
    [
      'Pockets',
      tapeCm > 0 ? tape : plural(bags, 'bag'),
      `${plural(marks, 'mark')}, one for each fruit as its bag comes off`,
    ],
  ];
}

function SumRow({ name, value, why }: { name: string; value: string; why: string }) {
  const colours = useColours();
  return (
    <View
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 10,
        borderTopWidth: 1,
        borderTopColor: colours.rule,
        paddingTop: 6,
      }}
    >
      <View style={BESIDE}>
        <Txt size="strong">{name}</Txt>
        <Txt size="label" tone="muted">
          {why}
        </Txt>
      </View>
      <Txt size="heading" style={{ fontVariant: ['tabular-nums'], textAlign: 'right', minWidth: 64 }}>
        {value}
      </Txt>
    </View>
  );
}

const openingWords = ({ flowers, family }: Crop) =>
  flowers.perfect ? 'flowers open' : family === 'corn' ? 'ears silk' : 'females open';
