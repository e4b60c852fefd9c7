import { useMemo, useRef } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import {
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
  type ColumnDef,
  type RowData,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { rem, rootScale } from '../rem';
import { TOUCH, Txt, useColours } from '../theme';

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns });

const ROW = 40;
const MOST_HEIGHT = 360;
/** What a column of width 1 needs for its heading; on a screen too narrow for all of them the table goes sideways. */
const COLUMN = 52;

/** A column of numbers or names. */
export interface NumbersColumn<Row> {
  readonly name: string;
  readonly of: (row: Row) => string | number | null;
  /** How it is written; as it is, if not given. */
  readonly text?: (row: Row) => string;
  /** Share of the width. */
  readonly wide?: number;
}

export interface NumbersTableProps<Row> {
  /** What the numbers are of: `Show the numbers of ...` */
  readonly of: string;
  readonly columns: readonly NumbersColumn<Row>[];
  readonly rows: readonly Row[];
}

/** The rows, sorted by a tap on a heading; only those in sight are drawn. */
export function Numbers<Row extends RowData>({ of, columns, rows }: NumbersTableProps<Row>) {
  const colours = useColours();
  const rowHeight = ROW * rootScale();
  const scroller = useRef<ScrollView>(null);
  const defs = useMemo(
    () =>
      columns.map(({ name, of: value }, i): ColumnDef<typeof features, Row> => ({
        id: String(i),
        header: name,
        accessorFn: (row) => value(row) ?? undefined,
        sortUndefined: 'last',
      })),
    [columns],
  );
  const table = useTable({ features, data: rows, columns: defs }, (state) => state);
  const sorted = table.getRowModel().rows;
  // eslint-disable-next-line react-hooks/incompatible-library -- this component alone is not memoized, and nothing of it is handed on
  const virtual = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => scroller.current as unknown as HTMLElement | null,
    estimateSize: () => rowHeight,
    overscan: 6,
  });
  const flexOf = (column: NumbersColumn<Row> | undefined) => column?.wide ?? 1;
  const least = columns.reduce((sum, column) => sum + flexOf(column), 0) * COLUMN;
  return (
    <ScrollView
      horizontal
      style={{ borderWidth: 1, borderColor: colours.rule, borderRadius: 6 }}
      contentContainerStyle={{ flexGrow: 1 }}
    >
      <View
        role="table"
        aria-label={of}
        {...({ 'aria-rowcount': rows.length + 1 } as object)}
        style={{ flexGrow: 1, minWidth: rem(least) }}
      >
        <View
          role="row"
          style={{
            flexDirection: 'row',
            gap: 6,
            paddingHorizontal: 8,
            borderBottomWidth: 1,
            borderBottomColor: colours.rule,
          }}
        >
          {table.getHeaderGroups()[0]?.headers.map(({ column, id }) => {
            const way = column.getIsSorted();
            const name = columns[Number(id)]?.name ?? '';
            return (
              <View
                key={id}
                role="columnheader"
                {...({
                  'aria-sort': way === 'asc' ? 'ascending' : way === 'desc' ? 'descending' : 'none',
                } as object)}
                style={{ flex: flexOf(columns[Number(id)]), minWidth: 0 }}
              >
                <Pressable
                  role="button"
                  aria-label={`Sort by ${name}`}
                  onPress={() => column.toggleSorting()}
                  style={{ minHeight: TOUCH, justifyContent: 'center' }}
                >
                  <Txt
                    size="label"
                    style={{ fontWeight: '700', textAlign: id === '0' ? 'left' : 'right' }}
                  >{`${name}${way === 'asc' ? ' ↑' : way === 'desc' ? ' ↓' : ''}`}</Txt>
                </Pressable>
              </View>
            );
          })}
        </View>
        <ScrollView
          ref={scroller}
          tabIndex={0}
          role="rowgroup"
          aria-label={`${of}, rows`}
          style={{ height: Math.min(MOST_HEIGHT, rows.length * rowHeight) }}
        >
          <View style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ index, start }) => {
              const row = sorted[index]?.original;
              if (row === undefined) return null;
              return (
                <View
                  key={index}
                  role="row"
                  {...({ 'aria-rowindex': index + 2 } as object)}
                  style={{
                    position: 'absolute',
                    top: start,
                    left: 0,
                    right: 0,
                    height: rowHeight,
                    flexDirection: 'row',
                    alignItems: 'center',
                    paddingHorizontal: 8,
                    gap: 6,
                    borderBottomWidth: 1,
                    borderBottomColor: colours.rule,
                  }}
                >
                  {columns.map((column, i) => (
                    <Txt
                      key={column.name}
                      role="cell"
                      size="label"
                      numberOfLines={2}
                      style={{
                        flex: flexOf(column),
                        textAlign: i === 0 ? 'left' : 'right',
                        fontVariant: ['tabular-nums'],
                      }}
                    >
                      {column.text?.(row) ?? String(column.of(row) ?? '–')}
                    </Txt>
                  ))}
                </View>
              );
            })}
          </View>
        </ScrollView>
      </View>
    </ScrollView>
  );
}
