import { useState } from 'react';
import type { Mother } from '@core/crosses';
import { plantName } from '@core/patch';
import { Button } from '../controls';
import { GoneTiles } from '../round/StopQuestions';
import type { CrossProps } from './crossProps';

type Props = Omit<CrossProps, 'cross'> & { mother: Mother };

/** A fruit is seen to form. */
export function FormsKey({ mother: { flower, growing }, busy, onSave }: Props) {
  return (
    <Button
      title="Fruit forms"
      small
      label={`A fruit forms on ${plantName(growing)}${flower.thread ? `, ${flower.thread} thread` : ''}`}
      disabled={busy}
      onPress={() => onSave({ kind: 'lookedAt', flower: flower.id, result: 'growing', sizeMm: null })}
    />
  );
}

/** A flower that fell: the cause is asked, and none is written that nobody said. */
export function DroppedKey({ mother: { flower, growing }, busy, onSave }: Props) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button
        title="Dropped"
        small
        label={`The flower on ${plantName(growing)} dropped`}
        disabled={busy}
        onPress={() => setAsking(!asking)}
      />
      {asking ? (
        <GoneTiles
          onCause={(cause) =>
            onSave(
              { kind: 'lookedAt', flower: flower.id, result: 'gone', sizeMm: null },
              { kind: 'lost', flower: flower.id, cause },
            )
          }
        />
      ) : null}
    </>
  );
}
