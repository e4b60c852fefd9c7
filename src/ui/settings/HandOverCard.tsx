import { useState } from 'react';
import { handOver } from '@/data/device/exports';
import { useGarden } from '@/data/garden/garden';
import { Button, Card, Notice } from '../controls';
import { Txt } from '../theme';

const said = {
  shared: 'Handed over. On the other phone choose “Import a file”, and what is new there comes in.',
  saved:
    'This browser has no sheet to share files by: the file is saved. Send it, and import it on the other phone.',
} as const;

/** Phones meet before and after a round: each gives its record to the other, and both hold the same. */
export function HandOverCard() {
  const { store, today } = useGarden();
  const [told, setTold] = useState<string | null>(null);
  const give = async () => {
    try {
      const how = await handOver(await store.allEvents(), today);
      setTold(how === 'left' ? null : said[how]);
    } catch (problem) {
      setTold((problem as Error).message);
    }
  };
  return (
    <Card>
      <Txt size="heading">Several people</Txt>
      <Txt>
        Before a round and after it give your record to the other phone, and take theirs. Nothing is taken
        twice, and the order does not matter. Where the two say things of one flower that can’t both be true,
        Today asks.
      </Txt>
      <Button title="Give it to another phone" onPress={() => void give()} />
      {told ? <Notice tone="pollen" text={told} /> : null}
      <Txt size="label" tone="muted">
        Sharing with a phone near by needs no network. Split the round by variety, so that hands stay clean,
        or as a chain: one opens, one pollinates, one shuts. Write the father’s name on pollen cups.
      </Txt>
    </Card>
  );
}
