import { useState } from 'react';
import { View } from 'react-native';
import type { RowData } from '@tanstack/react-table';
import { piece, usePiece } from '@/data/device/pieces';
import { Button } from '../controls';
import type { NumbersTableProps } from './Numbers';

export type { NumbersColumn } from './Numbers';

/** Only those who ask for the numbers wait for the table's package. */
const numbers = piece(() => import('../listParts'));

/** The numbers behind a chart: shut at first. */
export function NumbersTable<Row extends RowData>({ of, columns, rows }: NumbersTableProps<Row>) {
  const [open, setOpen] = useState(false);
  return (
    <View style={{ gap: 6 }}>
      <Button
        title={open ? 'Hide the numbers' : 'Show the numbers'}
        label={`${open ? 'Hide' : 'Show'} the numbers: ${of}`}
        look="quiet"
        small
        onPress={() => setOpen(!open)}
      />
      {open ? <Opened of={of} columns={columns} rows={rows} /> : null}
    </View>
  );
}

function Opened<Row extends RowData>(props: NumbersTableProps<Row>) {
  const { Numbers } = usePiece(numbers) ?? {};
  return Numbers ? <Numbers {...props} /> : null;
}
