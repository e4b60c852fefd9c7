import { standName } from '@core/patch';
import { useState } from 'react';
import { View } from 'react-native';
import { PRESSURE_WORTH, waysOut, type Rival, type StandIsolation } from '@core/isolation';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Row, Badge, Button, Card } from '../controls';
import { Txt, useColours } from '../theme';
import {
  plantingName,
  pressureWords,
  rivalWords,
  verdictTone,
  verdictWords,
  wayWords,
  weightWords,
} from './words';

/** How many are shown before one asks for the others. */
const FEW = 4;

/** One stand for seed: who could cross with it, whether they stand far enough, and what to do where they don't. */
export function IsolationCard({ isolation }: { isolation: StandIsolation }) {
  const { crop, verdict, rivals, importanceSaid } = isolation;
  const { prefs, state } = useGarden();
  const { units } = prefs;
  const [all, setAll] = useState(false);
  const ways = waysOut(isolation);
  const pressure = pressureWords(isolation);
  return (
    <Card>
      <Row>
        <View style={BESIDE}>
          <Txt size="heading">{standName(state, isolation.stand)}</Txt>
          <Txt size="label" tone="muted">
            {crop.name}
          </Txt>
        </View>
        <Badge text={verdictWords[verdict]} tone={verdictTone[verdict]} />
      </Row>
      {verdict === 'alone' ? (
        <Txt>
          {isolation.rare.length > 0
            ? 'Nothing you wrote down has to be kept apart from it.'
            : 'Nothing you wrote down could cross with it.'}{' '}
          Look over the fences out to the far end of its range: what nobody looked for may well be there.
        </Txt>
      ) : null}
      {verdict === 'closed-house' ? (
        <Txt>
          No insect comes to it, and no other variety of its kind stands under cover: it needs neither
          distance nor covers. With open vents it would be as good as outdoors.
        </Txt>
      ) : null}
      {(all ? rivals : rivals.slice(0, FEW)).map((rival) => (
        <RivalRow key={rival.id} rival={rival} />
      ))}
      {!all && rivals.length > FEW ? (
        <Button title={`Show ${rivals.length - FEW} more`} look="quiet" small onPress={() => setAll(true)} />
      ) : null}
      {pressure ? (
        <Txt>
          {pressure}{' '}
          <Txt size="label" tone="muted">
            {PRESSURE_WORTH}
          </Txt>
        </Txt>
      ) : null}
      {ways.length > 0 ? (
        <View style={{ gap: 6 }}>
          <Txt size="strong">What you can do</Txt>
          {ways.map((way) => (
            <Txt key={way.way}>{wayWords(way, units)}</Txt>
          ))}
        </View>
      ) : null}
      {ways.length > 0 && crop.family === 'cucurbit' ? (
        <Txt size="label" tone="muted">
          {crop.caution}
        </Txt>
      ) : null}
      {isolation.rare.length > 0 ? (
        <Txt size="label" tone="muted">
          {`${isolation.rare.join(' ')} Side by side is how they are usually kept, so no distance is asked. A whole field of the other next to a few plants, or seed that nobody else has, would be a reason for it.`}
        </Txt>
      ) : null}
      {isolation.harmless.map((words) => (
        <Txt key={words} size="label" tone="muted">
          {`Nothing to fear: ${words.charAt(0).toLowerCase()}${words.slice(1)}`}
        </Txt>
      ))}
      {importanceSaid || rivals.length === 0 ? null : (
        <Txt size="label" tone="muted">
          Reckoned as a variety you keep going. How precious the seed is, its goal says.
        </Txt>
      )}
    </Card>
  );
}

function RivalRow({ rival }: { rival: Rival }) {
  const colours = useColours();
  const [why, setWhy] = useState(false);
  const { crop, variety, crossing, needed, verdict } = rival;
  const { units } = useGarden().prefs;
  const name = plantingName(crop, variety);
  return (
    <View style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 6, gap: 2 }}>
      <Row>
        <View style={BESIDE}>
          <Txt size="strong">{name}</Txt>
          <Txt size="label">{rivalWords(rival, units)}</Txt>
        </View>
        <Badge text={verdictWords[verdict]} tone={verdictTone[verdict]} />
        <Button title="Why" look="quiet" small label={`Why ${name} counts so`} onPress={() => setWhy(!why)} />
      </Row>
      {why ? (
        <View style={{ gap: 2 }}>
          <Txt size="label">{crossing.why}</Txt>
          <Txt size="label">{needed.why}</Txt>
          {needed.weighed.map(({ reason, weight, words }) => (
            <Txt key={reason} size="label" tone="muted">
              {weightWords(words, weight)}
            </Txt>
          ))}
        </View>
      ) : null}
    </View>
  );
}
