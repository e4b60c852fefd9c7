import { useState } from 'react';
import type { ObstacleId } from '@core/ids';
import { OBSTACLES, type Corner, type ObstacleKind } from '@core/ledger';
import type { Thing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Card, Notice, Tile, Tiles } from '../controls';
import { plantingName } from '../crossing/words';
import { Txt } from '../theme';
import { distanceText } from '../words';
import { FEW, thingKey } from './scene';
import type { Plan } from './usePlan';
import { obstacleWords } from './words';

/** Everything on the plan by name, and what can be added to it. */
export function PlanThings({ plan, onPicked }: { plan: Plan; onPicked: () => void }) {
  const { scene, chosen, tried, units } = plan;
  const [all, setAll] = useState(false);
  const things: readonly { readonly thing: Thing; readonly name: string }[] = [
    ...scene.beds.map(({ bed }) => ({ thing: { kind: 'bed', id: bed.id } as const, name: bed.name })),
    ...scene.stands.map(({ id, name }) => ({ thing: { kind: 'stand', id } as const, name })),
    ...scene.obstacles.map(({ id, what }) => ({
      thing: { kind: 'obstacle', id } as const,
      name: obstacleWords[what],
    })),
    ...scene.neighbours.map(({ neighbour, name }) => ({
      thing: { kind: 'neighbour', id: neighbour.id } as const,
      name: `${name} next door`,
    })),
  ];
  // What is chosen has its tile, wherever it stands in the list.
  const shown = all ? things : things.filter(({ thing }, i) => i < FEW || thing.id === chosen?.id);
  return (
    <Card>
      <Txt size="heading">On the plan</Txt>
      {scene.outside.map((name) => (
        <Notice
          key={name}
          tone="pollen"
          text={`${name} has plants outside every bed. They count where they stand.`}
        />
      ))}
      <Tiles question="Choose one to move it">
        {shown.map(({ thing, name }) => (
          <Tile
            key={thingKey(thing)}
            title={name}
            small
            minWidth={110}
            disabled={tried !== null}
            chosen={chosen !== null && thingKey(chosen) === thingKey(thing)}
            onPress={() => {
              plan.choose(thing);
              onPicked();
            }}
          />
        ))}
      </Tiles>
      {all || shown.length === things.length ? null : (
        <Button title={`Show all ${things.length}`} look="quiet" small onPress={() => setAll(true)} />
      )}
      {scene.unplaced.length > 0 ? (
        <Txt size="label" tone="muted">
          {`Not drawn, as nobody said in which direction: ${scene.unplaced
            .map(
              ({ crop, variety, distanceM }) =>
                `${plantingName(crop, variety)} (${distanceText(distanceM, units)})`,
            )
            .join(', ')}.`}
        </Txt>
      ) : null}
      <Adding plan={plan} />
    </Card>
  );
}

/** What an obstacle looks like before it is shaped, around a point: half its length, or its sides, m. */
const FIRST_M = 5;
const AREAS: ReadonlySet<ObstacleKind> = new Set(['building', 'hill', 'water']);

function Adding({ plan }: { plan: Plan }) {
  const { patch, newId } = useGarden();
  const [open, setOpen] = useState(false);
  if (!patch || plan.tried) return null;
  const add = (what: ObstacleKind) => {
    const { west, east, north } = plan.scene.patch;
    const [x, y] = [(west + east) / 2, north - FIRST_M / 2];
    const area = AREAS.has(what);
    const corners: Corner[] = area
      ? [
          [x - FIRST_M, y - FIRST_M],
          [x + FIRST_M, y - FIRST_M],
          [x + FIRST_M, y],
          [x - FIRST_M, y],
        ]
      : [
          [x - FIRST_M, y],
          [x + FIRST_M, y],
        ];
    const obstacle: ObstacleId = newId('obstacle');
    setOpen(false);
    plan.attempt({ kind: 'obstacleNoted', obstacle, patch: patch.id, what, corners, area });
  };
  return open ? (
    <Tiles question="What stands there?">
      {OBSTACLES.map((what) => (
        <Tile
          key={what}
          title={obstacleWords[what]}
          small
          minWidth={80}
          chosen={false}
          onPress={() => add(what)}
        />
      ))}
    </Tiles>
  ) : (
    <Button title="Add a hedge, building, hill or water" small onPress={() => setOpen(true)} />
  );
}
