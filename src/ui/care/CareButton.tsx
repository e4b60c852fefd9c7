import { useState } from 'react';
import type { Stand } from '@core/ledger';
import { Button } from '../controls';
import { CareSheet } from './CareSheet';

/** The way to the care of a stand. */
export function CareButton({ stand, name }: { stand: Stand; name: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        title="Care"
        look="quiet"
        small
        label={`Care of ${name}: water, feed, straw, sprays`}
        onPress={() => setOpen(true)}
      />
      {open ? <CareSheet stand={stand} name={name} onClose={() => setOpen(false)} /> : null}
    </>
  );
}
