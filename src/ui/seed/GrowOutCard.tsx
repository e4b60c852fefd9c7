import { View } from 'react-native';
import type { PlantId } from '@core/ids';
import type { Lot } from '@core/ledger';
import type { FatherFinding, GrowOutFinding } from '@core/lineage';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card, Notice } from '../controls';
import { Txt } from '../theme';
import { plantText, plural } from '../words';
import { percentText, roguedWords, SELFED_REASON, stageTitles } from './words';

/** What growing out has shown of a lot, by fruit and father, and what that proves. */
export function GrowOutCard({
  lot,
  finding,
  first,
  onCount,
}: {
  lot: Lot;
  finding: GrowOutFinding;
  /** It is the F1 of a cross. */
  first: boolean;
  onCount: () => void;
}) {
  const { state } = useGarden();
  const { grown, off, upTo, range, stage, reasons, fruits, fathers, onRecord } = finding;
  return (
    <Card>
      <Txt size="heading">Growing out</Txt>
      {grown === 0 || upTo === null || range === null ? (
        <Txt>
          {`Nothing was grown out and counted yet. ${lot.from === 'fruits' ? 'Sow the seed of each fruit apart, and an off-type can be traced to its father.' : 'It is the only proof there is of seed from elsewhere.'}`}
        </Txt>
      ) : (
        <>
          <Txt>
            {off === 0
              ? `None of ${plural(grown, 'plant')} was off: with 95 % certainty no more than ${percentText(upTo)} of the lot is.`
              : `${off} of ${plural(grown, 'plant')} ${off === 1 ? 'was' : 'were'} off: the true share lies between ${percentText(range.low)} and ${percentText(range.high)}.`}
          </Txt>
          {stage ? (
            <Txt size="label" tone="muted">
              {`Last looked over: ${stageTitles[stage]}. What shows only later is not in it.`}
            </Txt>
          ) : null}
          {reasons.map(({ reason, count, rogued }, i) => (
            <Txt key={`${reason} ${i}`}>
              {`${count} × ${reason}${rogued ? `, ${roguedWords[rogued]}` : ''}`}
            </Txt>
          ))}
        </>
      )}
      {onRecord.off > 0 ? (
        <Txt>{`Of ${plural(onRecord.grown, 'plant')} on record that were sown from it, ${onRecord.off} ${onRecord.off === 1 ? 'was' : 'were'} found off.`}</Txt>
      ) : null}
      {fruits.some((each) => each.off > 0) || grown > 0 ? (
        <>
          {fruits.length > 0 ? (
            <View style={{ gap: 2 }}>
              {fruits.map((each) => (
                <Txt key={each.fruit}>
                  {`Fruit ${state.flowers.get(each.fruit)?.mark ?? 'without a mark'}: ${each.off} of ${each.grown} off`}
                </Txt>
              ))}
            </View>
          ) : null}
          <FatherLines fathers={fathers} />
        </>
      ) : null}
      {first ? <FirstWords finding={finding} /> : null}
      <Button title="Write down a count" onPress={onCount} />
    </Card>
  );
}

/** What a count of an F1 tells: plants like their mother were selfed. */
function FirstWords({ finding: { grown, reasons } }: { finding: GrowOutFinding }) {
  const selfed = reasons.reduce((sum, { reason, count }) => sum + (reason === SELFED_REASON ? count : 0), 0);
  const others = reasons.some(({ reason }) => reason !== SELFED_REASON);
  if (grown === 0)
    return (
      <Txt tone="muted">
        Of an F1 grow 3 to 5: one like its mother, where the father’s trait should show, was selfed.
      </Txt>
    );
  return (
    <>
      {selfed > 0 ? (
        <Notice
          tone="brick"
          text={`${selfed} of ${grown} came out like the mother: selfed. Her anthers were missed, or out too late.`}
        />
      ) : null}
      {others ? <Notice tone="brick" text="They are not alike: a parent was not pure." /> : null}
      {selfed === 0 && !others ? <Txt>All are crossed, as far as can be seen by now.</Txt> : null}
    </>
  );
}

/** The fathers by what came of their pollen, and the one in whom it all meets. */
function FatherLines({ fathers }: { fathers: readonly FatherFinding[] }) {
  const { state } = useGarden();
  const { busy, problem, save } = useRecording();
  if (fathers.length === 0) return null;
  const name = (plant: PlantId) => plantText(state, plant);
  const suspect = fathers.find(({ stands }) => stands);
  const told = suspect && state.plants.get(suspect.father)?.offType;
  return (
    <View style={{ gap: 4 }}>
      {fathers.map(({ father, grown, off, fruits }) => (
        <Txt key={father}>
          {`Father ${name(father)}: ${off} of ${grown} off, from ${plural(fruits, 'fruit', 'fruits')}`}
        </Txt>
      ))}
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {suspect ? (
        <Notice
          tone="brick"
          text={
            told
              ? `${name(suspect.father)} is marked as off-type: every fruit that its pollen served is flagged.`
              : `All off-types came from fruits of one father, ${name(suspect.father)}; others gave none. If you think that is the cause, mark it, and every fruit it fathered is flagged.`
          }
        >
          {told ? null : (
            <Button
              title="Mark this father as off-type"
              small
              disabled={busy}
              onPress={() => void save({ kind: 'offTypeFound', plant: suspect.father, shownBy: 'offspring' })}
            />
          )}
        </Notice>
      ) : null}
    </View>
  );
}
