import { useState } from 'react';
import { TABLES, type Table } from '@core/formats';
import { exportTable } from '@/data/device/tables';
import { useGarden } from '@/data/garden/garden';
import { Button, Row } from '../controls';
import { Txt } from '../theme';

const tableWords: Readonly<Record<Table, string>> = {
  events: 'Entries',
  flowers: 'Flowers',
  pollinations: 'Pollinations',
  looks: 'Looks',
  fruits: 'Fruits followed',
  trials: 'Trials',
  groups: 'Groups counted',
  care: 'Care',
  plants: 'Plants',
  lots: 'Lots',
  lineage: 'Lineage',
  weather: 'Weather',
  dictionary: 'What the columns mean',
};

/** The record as tables, one row a thing, for a spreadsheet or a statistics program. */
export function TablesCard() {
  const { state, today } = useGarden();
  const [open, setOpen] = useState(false);
  if (!open) return <Button title="As tables (CSV)" small onPress={() => setOpen(true)} />;
  return (
    <>
      <Row gap={6}>
        {TABLES.map((table) => (
          <Button
            key={table}
            title={tableWords[table]}
            label={`${tableWords[table]} as a table (CSV)`}
            small
            onPress={() => exportTable(state, table, today)}
          />
        ))}
      </Row>
      <Txt size="label" tone="muted">
        One row for each thing, times in UTC, days as YYYY-MM-DD; an empty cell: not recorded.
      </Txt>
    </>
  );
}
