import { useState } from 'react';
import type { Stand } from '@core/ledger';
import { piece, usePiece } from '@/data/device/pieces';
import { Button } from '../controls';

const sheet = piece(() => import('./CareSheet'));

/** The way to the care of a stand; its sheet comes when it is first wanted. */
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
      {open ? <Care stand={stand} name={name} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function Care(props: { stand: Stand; name: string; onClose: () => void }) {
  const { CareSheet } = usePiece(sheet) ?? {};
  return CareSheet ? <CareSheet {...props} /> : null;
}
