import { useState } from 'react';
import { View } from 'react-native';
import { WEIGHED_WORDS, WEIGHTS } from '@core/isolation';
import { WEIGHED, type WeighedReason } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { BESIDE, Row, Button, Card, Notice } from '../controls';
import { Txt, useColours } from '../theme';
import { weightWords } from './words';

/** How far one tap moves a weight. */
const STEP = 0.05;

/** What is weighed when a distance is chosen within its usual range, for the grower to change. */
export function WeightsCard() {
  const { patch } = useGarden();
  const [open, setOpen] = useState(false);
  const { problem, save } = useRecording();
  if (!patch) return null;
  const set = (reason: WeighedReason, weight: number | null) =>
    void save({ kind: 'weightSet', patch: patch.id, reason, weight });
  return (
    <Card>
      <Txt size="heading">What weighs how much</Txt>
      <Txt>
        Handbooks give a near and a far end, and good growers choose differently within it. Each reason moves
        the figure a part of the way from the near end to the far one. The directions are common practice; how
        much is our guess, and yours to change.
      </Txt>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {open ? (
        WEIGHED.map((reason) => (
          <WeightRow
            key={reason}
            reason={reason}
            own={patch.weights[reason] ?? null}
            onSet={(weight) => set(reason, weight)}
          />
        ))
      ) : (
        <Button title="Show them" label="Show what weighs how much" small onPress={() => setOpen(true)} />
      )}
    </Card>
  );
}

function WeightRow({
  reason,
  own,
  onSet,
}: {
  reason: WeighedReason;
  own: number | null;
  onSet: (weight: number | null) => void;
}) {
  const colours = useColours();
  const weight = own ?? WEIGHTS[reason];
  const words = WEIGHED_WORDS[reason];
  const by = (step: number) => {
    const next = Math.round(Math.max(-1, Math.min(1, weight + step)) * 100) / 100;
    onSet(Math.abs(next - WEIGHTS[reason]) < 0.001 ? null : next);
  };
  return (
    <View style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 6 }}>
      <Row gap={6}>
        <Txt style={BESIDE}>{weightWords(words, weight)}</Txt>
        <Button title="−" label={`${words}: less`} small onPress={() => by(-STEP)} />
        <Button title="+" label={`${words}: more`} small onPress={() => by(STEP)} />
      </Row>
      {own === null ? null : (
        <Button
          title="As proposed"
          label={`${words}: as proposed`}
          look="quiet"
          small
          onPress={() => onSet(null)}
        />
      )}
    </View>
  );
}
