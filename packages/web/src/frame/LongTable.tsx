/**
 * A table of any length: the first page of it as it is, and once there is more only the rows that
 * are in view.
 */
import type { ReactNode } from 'react';
import { TableVirtuoso, type TableComponents } from 'react-virtuoso';

type LongTableProps<Row> = {
  rows: readonly Row[];
  head: readonly string[];
  keyOf: (row: Row) => string;
  cells: (row: Row) => ReactNode;
  onOpen: (row: Row) => void;
};
type Opening<Row> = { onOpen: (row: Row) => void };

/** More than a screen or two holds. */
const SHORT_ROWS = 100;
const BEYOND_PX = 800;

export function LongTable<Row>({ rows, head, keyOf, cells, onOpen }: LongTableProps<Row>) {
  const headRow = (
    <tr>
      {head.map((name) => (
        <th key={name}>{name}</th>
      ))}
    </tr>
  );
  if (rows.length > SHORT_ROWS)
    return (
      <TableVirtuoso<Row, Opening<Row>>
        style={{ height: 'calc(100dvh - 210px)', minHeight: 360 }}
        data={rows}
        context={{ onOpen }}
        computeItemKey={(_, row) => keyOf(row)}
        increaseViewportBy={BEYOND_PX}
        components={componentsOf<Row>()}
        fixedHeaderContent={() => headRow}
        itemContent={(_, row) => cells(row)}
      />
    );
  return (
    <table className="plain">
      <thead>{headRow}</thead>
      <tbody>
        {rows.map((row) => (
          <tr key={keyOf(row)} onClick={() => onOpen(row)} style={{ cursor: 'pointer' }}>
            {cells(row)}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const COMPONENTS: TableComponents<never, Opening<never>> = {
  Table: (props) => <table {...props} className="plain" />,
  TableHead: ({ style, ...props }) => (
    <thead {...props} style={{ ...style, background: 'var(--card)' }} />
  ),
  TableRow: ({ item, context, ...props }) => (
    <tr {...props} onClick={() => context.onOpen(item)} style={{ cursor: 'pointer' }} />
  ),
};
/** The same for every kind of row: made once, so that no row is built anew. */
const componentsOf = <Row,>() => COMPONENTS as unknown as TableComponents<Row, Opening<Row>>;
