import { View } from 'react-native';
import { smallPopulation, type Mixture } from '@core/lineage';
import { Card, Row, Stat } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';
import { percentText, plantsText } from './words';

/** How a lot is mixed: who stands behind it, and what that is worth. */
export function MixingCard({ title, mixture }: { title: string; mixture: Mixture }) {
  const { fruits, mothers, fathers, unknownFathers, selfed, size, sizeUnrelated, evenness } = mixture;
  const akin = sizeUnrelated - size > 0.05;
  return (
    <Card>
      <Txt size="heading">{title}</Txt>
      <Row gap={20}>
        <Stat value={fruits} name={fruits === 1 ? 'fruit' : 'fruits'} />
        <Stat value={mothers} name={mothers === 1 ? 'mother' : 'mothers'} />
        <Stat value={fathers} name={fathers === 1 ? 'father' : 'fathers'} />
        <Stat value={plantsText(size)} name="plants it is worth" />
      </Row>
      <Txt>
        {`As varied as seed of ${plantsText(size)} ${size === 1 ? 'plant' : 'plants'} that are unrelated and gave equally.`}
      </Txt>
      {akin ? (
        <Txt>{`They are related; if they were not, it would be ${plantsText(sizeUnrelated)}.`}</Txt>
      ) : null}
      <Txt size="label" tone="muted">
        {[
          `How evenly they gave: ${percentText(evenness)}`,
          `selfed: ${percentText(selfed)} of the seed`,
          ...(unknownFathers > 0.005
            ? [`father not noted: ${plural(Math.round(unknownFathers * 10) / 10, 'fruit')}’s worth`]
            : []),
        ].join(' · ')}
      </Txt>
    </Card>
  );
}

/** What a lot of such a size loses, and what it keeps. */
export function SmallCard({ size }: { size: number }) {
  if (size <= 0) return null;
  const { lost, lostInTen, keepsRare, plantsForRare } = smallPopulation(size);
  return (
    <Card>
      <Txt size="heading">What a lot of this size loses</Txt>
      <View style={{ gap: 6 }}>
        <Txt>
          {`Of all that varies in it ${percentText(lost)} is lost in this generation; after ten as narrow ones, ${percentText(lostInTen)}.`}
        </Txt>
        <Txt>
          {`Something rare, carried by one gene copy in twenty, is still in it with a chance of ${percentText(keepsRare)}. With ${plantsForRare} plants it would be 95 %.`}
        </Txt>
        <Txt size="label" tone="muted">
          Reckoned as 1/(2N) a generation (Wright 1931). A variety that selfs anyway loses little by it; one
          that is crossed, as squash and corn are, grows weak.
        </Txt>
      </View>
    </Card>
  );
}
