import type { ShapeCount, Study } from '@core/study';
import { shortDayText } from '@core/time';
import { NumbersTable, type NumbersColumn } from '../charts/NumbersTable';
import { SetChart } from '../charts/SetChart';
import { Card } from '../controls';
import { proportionInterval } from '@core/fruitset';
import { Txt } from '../theme';
import { plural } from '../words';
import { percent } from './studyWords';

type Row = ShapeCount & { readonly name: string };

const COLUMNS: readonly NumbersColumn<Row>[] = [
  { name: 'Of', of: ({ name }) => name, wide: 2 },
  { name: 'Looked at', of: ({ looked }) => looked },
  { name: 'Bent', of: ({ bent }) => bent },
  {
    name: 'Share',
    of: ({ bent, looked }) => bent / looked,
    text: ({ bent, looked }) => percent(bent / looked),
  },
];

/** Set, and badly shaped: a matter of too little pollen, and apart from whether it set at all. */
export function ShapeCard({ study: { shape } }: { study: Study }) {
  if (shape.all.looked === 0) return null;
  const rows: Row[] = [
    ...shape.byWeek.map((each) => ({ ...each, name: `week of ${shortDayText(each.id)}` })),
    ...shape.byMales.map((each) => ({ ...each, name: plural(Number(each.id), 'male') })),
    ...shape.byLobes.map((each) => ({ ...each, name: `${plural(Number(each.id), 'lobe')} with pollen` })),
  ];
  return (
    <Card>
      <Txt size="heading">How they are shaped</Txt>
      <Txt>
        {shape.all.bent === 0
          ? `None of ${plural(shape.all.looked, 'fruit')} that set was seen bent or one-sided.`
          : `${shape.all.bent} of ${plural(shape.all.looked, 'fruit')} that set ${shape.all.bent === 1 ? 'is' : 'are'} bent or one-sided. Set is one thing, shape another: uneven pollen bends a fruit.`}
      </Txt>
      {shape.all.bent > 0 ? (
        <SetChart
          rows={rows.map(({ name, bent, looked }) => ({
            id: name,
            name,
            set: bent,
            judged: looked,
            share: bent / looked,
            ...proportionInterval(bent, looked, { method: 'wilson', confidence: 0.95 }),
          }))}
          what="Share of set fruit that is bent"
        />
      ) : null}
      <NumbersTable of="fruits by shape" columns={COLUMNS} rows={rows} />
    </Card>
  );
}
