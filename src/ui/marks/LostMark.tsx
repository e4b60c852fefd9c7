import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { growing, plantName } from '@core/patch';
import { markCandidates, type Candidate, type FruitSeen } from '@core/purity';
import type { Flower } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card, DateField, Field, Notice, Tile, Tiles } from '../controls';
import { SizeAsk } from '../fruit/SizeAsk';
import { Txt, useColours } from '../theme';
import { flowerText } from '../words';
import { candidateWords } from './words';

/** How many are shown: farther down the list nothing speaks for a fruit any more. */
const SHOWN = 6;
const NOTHING: FruitSeen = { plant: null, node: null, workedOn: null, sizeMm: null };

/** A fruit without its mark: what can be seen of it tells which it may be. */
export function LostMark({ onProof }: { onProof: (flower: Flower) => void }) {
  const { state, place, today, prefs } = useGarden();
  const [seen, setSeen] = useState<FruitSeen>(NOTHING);
  const [node, setNode] = useState('');
  const [allPlants, setAllPlants] = useState(false);
  const candidates = useMemo(() => markCandidates(state, seen, place.zone), [state, seen, place.zone]);
  const everywhere = useMemo(() => markCandidates(state, NOTHING, place.zone), [state, place.zone]);
  const plants = [...new Set(everywhere.flatMap(({ flower }) => state.flowers.get(flower)?.plant ?? []))];
  if (plants.length === 0) return <Txt>No worked fruit is on its plant, as far as this phone knows.</Txt>;
  const shown = allPlants ? plants : plants.slice(0, 8);
  return (
    <Card>
      <Txt size="heading">A fruit without its mark</Txt>
      <Txt size="label" tone="muted">
        Follow the vine back to its plant, and count the node. Say what you can; nothing has to be said.
      </Txt>
      <Tiles question="On which plant?">
        {shown.map((id) => {
          const found = growing(state, id);
          return found ? (
            <Tile
              key={id}
              title={plantName(found)}
              small
              minWidth={100}
              chosen={seen.plant === id}
              onPress={() => setSeen({ ...seen, plant: seen.plant === id ? null : id })}
            />
          ) : null;
        })}
      </Tiles>
      {shown.length < plants.length ? (
        <Button
          title={`Show all ${plants.length} plants`}
          look="quiet"
          small
          onPress={() => setAllPlants(true)}
        />
      ) : null}
      <Field
        label="At which node (may be left out)"
        keyboard="number-pad"
        value={node}
        onChange={(text) => {
          setNode(text);
          const count = Number(text);
          setSeen({
            ...seen,
            node: text.trim() !== '' && Number.isInteger(count) && count > 0 ? count : null,
          });
        }}
        error={node.trim() !== '' && seen.node === null ? 'The node is a whole number, 1 or more' : null}
      />
      <DateField
        label="Worked about (may be left out)"
        value={seen.workedOn}
        most={today}
        onChange={(workedOn) => setSeen({ ...seen, workedOn })}
      />
      <SizeAsk
        us={prefs.units === 'us'}
        sizeMm={seen.sizeMm}
        onSize={(sizeMm) => setSeen({ ...seen, sizeMm })}
      />
      <Txt size="strong">It may be</Txt>
      {candidates.length === 0 ? <Txt>No worked fruit of that plant is left on it.</Txt> : null}
      {candidates.slice(0, SHOWN).map((each) => (
        <CandidateRow key={each.flower} candidate={each} onProof={onProof} />
      ))}
      <Txt size="label" tone="muted">
        Nothing here proves it: its proof will say that the mark was lost. Where two are alike, keep neither
        for seed.
      </Txt>
    </Card>
  );
}

function CandidateRow({ candidate, onProof }: { candidate: Candidate; onProof: (flower: Flower) => void }) {
  const { state } = useGarden();
  const colours = useColours();
  const { busy, problem, save } = useRecording();
  const next = useNextMark();
  const flower = state.flowers.get(candidate.flower);
  const found = flower && growing(state, flower.plant);
  if (!flower || !found) return null;
  const name = flowerText(found, flower);
  return (
    <View style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 6, gap: 4 }}>
      <Txt size="strong">{candidate.mark ? `${candidate.mark} · ${name}` : name}</Txt>
      {candidate.reasons.length > 0 ? (
        <Txt size="label">{candidate.reasons.map((reason) => candidateWords[reason]).join(' · ')}</Txt>
      ) : null}
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          title={`It is this one: ${next} goes on`}
          label={`It is ${name}: mark ${next} goes on`}
          small
          grow
          busy={busy}
          onPress={() =>
            void save(
              { kind: 'markLost', flower: flower.id },
              { kind: 'marked', flower: flower.id, mark: next },
            ).then((kept) => {
              if (kept) onProof(flower);
            })
          }
        />
        <Button title="Look" label={`Proof of ${name}`} look="quiet" small onPress={() => onProof(flower)} />
      </View>
    </View>
  );
}
