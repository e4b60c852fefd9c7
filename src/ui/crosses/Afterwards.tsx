import { useRouter } from 'expo-router';
import { plantName } from '@core/patch';
import { shortDayText } from '@core/time';
import { Button, Card } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { Txt } from '../theme';
import { plural } from '../words';
import type { CrossProps } from './crossProps';
import { DroppedKey, FormsKey } from './MotherKeys';

/** Mothers between their pollen and their fruit, those that came to nothing, and bags to take off. */
export function Afterwards({ cross: { growing: first, waiting, lost, bagsOff }, busy, onSave }: CrossProps) {
  const router = useRouter();
  if (waiting.length + lost.length + bagsOff.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">Afterwards: {first.variety.name}</Txt>
      {waiting.map((mother) => (
        <FlowerRow
          key={mother.flower.id}
          flower={mother.flower}
          growing={mother.growing}
          note={`${plural(mother.visits, 'visit')}${mother.flower.mark ? `, mark ${mother.flower.mark}` : ''} · look from ${shortDayText(mother.lookFrom)}`}
        >
          <FormsKey mother={mother} busy={busy} onSave={onSave} />
          <DroppedKey mother={mother} busy={busy} onSave={onSave} />
        </FlowerRow>
      ))}
      {lost.map(({ flower, growing, why }) => (
        <FlowerRow
          key={flower.id}
          flower={flower}
          growing={growing}
          note={
            why === 'over' ? 'no pollen came in time: her stigma is past it' : 'spoilt: something got to her'
          }
        >
          <Button
            title="Bag off, left"
            small
            label={`Bag off the spent flower of ${plantName(growing)}`}
            disabled={busy}
            onPress={() =>
              onSave(
                { kind: 'coverOff', flower: flower.id },
                // That no pollen came is on record; what a torn bag let in is no cause that anybody saw.
                ...(why === 'over'
                  ? [{ kind: 'lost' as const, flower: flower.id, cause: 'not-pollinated' as const }]
                  : []),
              )
            }
          />
        </FlowerRow>
      ))}
      {bagsOff.map(({ flower, growing }) => (
        <FlowerRow
          key={flower.id}
          flower={flower}
          growing={growing}
          note={flower.mark ? `mark ${flower.mark}` : 'fruit forms'}
        >
          <Button
            title="Bag whole, off"
            small
            label={`Bag off ${plantName(growing)}, still whole`}
            disabled={busy}
            onPress={() =>
              onSave(
                { kind: 'closureChecked', flower: flower.id, result: 'whole' },
                { kind: 'coverOff', flower: flower.id },
              )
            }
          />
          <Button
            title="Bag torn, off"
            small
            label={`Bag off ${plantName(growing)}, torn`}
            disabled={busy}
            onPress={() =>
              onSave(
                { kind: 'closureChecked', flower: flower.id, result: 'torn' },
                { kind: 'coverOff', flower: flower.id },
              )
            }
          />
          {flower.mark ? (
            <Button
              title="Its label"
              small
              label={`Label for ${flower.mark}`}
              onPress={() => router.navigate({ pathname: '/label', params: { flower: flower.id } })}
            />
          ) : null}
        </FlowerRow>
      ))}
    </Card>
  );
}
