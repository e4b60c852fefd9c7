import { useState } from 'react';
import { View } from 'react-native';
import { hasCone, hasTrusses, kitchenStep, kitchenTools, type Tool } from '@core/crops';
import { kitchenPace, type KitchenPace } from '@core/fruitset';
import type { Draft } from '@core/ledger';
import { plantName } from '@core/patch';
import { leavingOf, type KitchenPlant } from '@core/kitchen';
import type { PlantId } from '@core/ids';
import { pollenOnTool } from '@core/purity';
import { holdSeconds } from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { BESIDE, Card, Button, Notice, Row, Stepper, Tile, Tiles } from '../controls';
import { CareButton } from '../care/CareButton';
import { SprayNotice } from '../care/SprayNotice';
import { CoverAdvice } from '../patch/CoverAdvice';
import { HoldTimer } from '../round/HoldTimer';
import { Txt, useColours } from '../theme';
import { plural, toolWords } from '../words';
import { FemaleRows } from './FemaleRows';
import { MalesButton, PickedSheet } from './PickedSheet';

/** More plants than this are counted together, until somebody asks for them one by one. */
const SHOWN_ONE_BY_ONE = 8;
const STEPS = [1, 3, 5] as const;

const paceWords = ({ seconds, from }: KitchenPace) =>
  `about ${Math.round(seconds)} s a flower${from > 0 ? ', by your own counts' : ''}`;

/** A stand worked for the kitchen: its tool and truss once, then a tally for all of its plants or for each. */
export function StandTally({ plants }: { plants: readonly KitchenPlant[] }) {
  const { busy, problem, save } = useRecording();
  const first = plants[0] as KitchenPlant;
  const { variety, crop, bed } = first.growing;
  const [tool, setTool] = useState<Tool>(first.tool);
  const [choosing, setChoosing] = useState(false);
  const [truss, setTruss] = useState<number | null>(first.lastTruss);
  const [each, setEach] = useState(plants.length <= SHOWN_ONE_BY_ONE);
  // A vine's females are few and looked at later: flower by flower, unless there are very many plants.
  const vine = crop.family === 'cucurbit';
  const [counting, setCounting] = useState(!vine || plants.length > SHOWN_ONE_BY_ONE);
  const [saidTool, setSaidTool] = useState(false);
  const [puff, setPuff] = useState<boolean | null>(null);
  const [from, setFrom] = useState<PlantId | null>(null);
  const [picking, setPicking] = useState(false);
  const { state, place, today: date } = useGarden();
  const leaving = vine && !first.seed ? leavingOf(state, first.growing.stand) : null;
  const { seed } = first;
  const carried = pollenOnTool(state, place.zone, date);
  const foreign =
    carried && carried.variety !== variety.id ? state.varieties.get(carried.variety) : undefined;
  const trusses = hasTrusses(crop);
  const hold = holdSeconds(tool);
  const today = plants.reduce((sum, plant) => sum + plant.today, 0);
  const add = (flowers: number, on: readonly KitchenPlant[]) =>
    save(
      ...on.map(({ growing }): Draft => ({
        kind: 'tallied',
        plant: growing.plant.id,
        tool,
        flowers,
        truss: trusses ? truss : null,
        ...(puff === null ? {} : { puff }),
      })),
    );
  return (
    <Card style={{ gap: 8 }}>
      <Row>
        <View style={BESIDE}>
          <Txt size="heading">{variety.name}</Txt>
          <Txt size="label" tone="muted">
            {bed.name} · {toolWords[tool]}, {paceWords(kitchenPace(state, crop.id, tool))}
          </Txt>
        </View>
        <Button
          title="Tool"
          look="quiet"
          small
          label={`Change the tool for ${variety.name}`}
          onPress={() => setChoosing(!choosing)}
        />
        <Txt size="number" aria-label={`${plural(today, 'flower')} today on ${variety.name}`}>
          {today}
        </Txt>
      </Row>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {foreign && tool !== 'shaking' && tool !== 'vibration' && tool !== 'fan' ? (
        <Notice
          tone="pollen"
          text={`The last thing your hands did carries ${foreign.name} pollen: wipe them, and take another dry brush or fresh males for ${variety.name}.`}
        />
      ) : null}
      <Txt size="label">{kitchenStep(crop, tool, !first.insectsOut)}</Txt>
      <SprayNotice stand={first.growing.stand} />
      <CoverAdvice growing={first.growing} />
      {choosing ? (
        <Tiles question="Worked with">
          {kitchenTools(crop).map((one) => (
            <Tile
              key={one}
              title={toolWords[one]}
              small
              chosen={tool === one}
              onPress={() => {
                setTool(one);
                setSaidTool(true);
                setChoosing(false);
              }}
              minWidth={84}
            />
          ))}
        </Tiles>
      ) : null}
      {trusses ? (
        <Stepper
          label={truss === null ? 'Truss (may be left out)' : 'Truss from the root'}
          value={truss ?? 1}
          unset={truss === null}
          least={1}
          most={60}
          onChange={setTruss}
        />
      ) : null}
      {hold ? <HoldTimer seconds={hold} verb={tool === 'vibration' ? 'Vibrate' : 'Brush'} /> : null}
      {hasCone(crop) && tool === 'vibration' ? (
        <Tiles question="A puff of pollen?">
          <Tile
            title="seen"
            small
            chosen={puff === true}
            onPress={() => setPuff(puff === true ? null : true)}
          />
          <Tile
            title="none seen"
            small
            chosen={puff === false}
            onPress={() => setPuff(puff === false ? null : false)}
          />
        </Tiles>
      ) : null}
      {vine && !counting && seed && plants.length > 1 ? (
        <Tiles question="Pollen from (may be left out)">
          {plants.slice(0, SHOWN_ONE_BY_ONE).map(({ growing: { plant } }) => (
            <Tile
              key={plant.id}
              title={`plant ${plant.label}`}
              small
              chosen={from === plant.id}
              onPress={() => setFrom(from === plant.id ? null : plant.id)}
            />
          ))}
        </Tiles>
      ) : null}
      {counting ? (
        <>
          {plants.length > 1 ? (
            <TallyRow
              name={`All ${plants.length} plants, each`}
              label={`each plant of ${variety.name}`}
              busy={busy}
              onAdd={(n) => void add(n, plants)}
            />
          ) : null}
          {each
            ? plants.map((plant) => (
                <TallyRow
                  key={plant.growing.plant.id}
                  name={`Plant ${plant.growing.plant.label}`}
                  label={plantName(plant.growing)}
                  today={plant.today}
                  busy={busy}
                  onAdd={(n) => void add(n, [plant])}
                />
              ))
            : null}
          {plants.length > SHOWN_ONE_BY_ONE ? (
            <Button
              title={each ? 'Only together' : 'Plant by plant'}
              look="quiet"
              small
              onPress={() => setEach(!each)}
            />
          ) : null}
        </>
      ) : (
        <>
          {leaving?.next ? (
            <Notice
              tone="dusk"
              text={`The next open female of ${variety.name} is for the insects: leave it, and write it down as left.`}
            />
          ) : null}
          {plants.map((plant) => (
            <FemaleRows
              key={plant.growing.plant.id}
              plant={{ ...plant, tool }}
              from={from}
              saidTool={saidTool}
              leaving={leaving}
              busy={busy}
              onSave={(...drafts) => void save(...drafts)}
            />
          ))}
        </>
      )}
      <Row>
        {vine && !seed ? (
          <Button
            title={counting ? 'Flower by flower' : 'Only count them'}
            look="quiet"
            small
            label={`${variety.name}: ${counting ? 'flower by flower' : 'only count them'}`}
            onPress={() => setCounting(!counting)}
          />
        ) : null}
        <Button
          title="Fruit picked"
          look="quiet"
          small
          label={`Fruit picked from ${variety.name}`}
          onPress={() => setPicking(true)}
        />
        {vine ? <MalesButton stand={first.growing.stand} name={variety.name} /> : null}
        <CareButton stand={first.growing.stand} name={variety.name} />
      </Row>
      {picking ? (
        <PickedSheet stand={first.growing.stand} name={variety.name} onClose={() => setPicking(false)} />
      ) : null}
    </Card>
  );
}

function TallyRow({
  name,
  label,
  today,
  busy,
  onAdd,
}: {
  name: string;
  label: string;
  today?: number;
  busy: boolean;
  onAdd: (flowers: number) => void;
}) {
  const colours = useColours();
  return (
    <View
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 8,
        borderTopWidth: 1,
        borderTopColor: colours.rule,
        paddingTop: 6,
      }}
    >
      <Txt style={BESIDE}>{name}</Txt>
      <Row style={{ maxWidth: '100%' }}>
        {today === undefined ? null : (
          <Txt
            size="heading"
            style={{ fontVariant: ['tabular-nums'] }}
            aria-label={`${plural(today, 'flower')} today on ${label}`}
          >
            {today}
          </Txt>
        )}
        {STEPS.map((n) => (
          <Button
            key={n}
            title={`+${n}`}
            small
            label={`${plural(n, 'flower')} worked on ${label}`}
            disabled={busy}
            onPress={() => onAdd(n)}
          />
        ))}
      </Row>
    </View>
  );
}
