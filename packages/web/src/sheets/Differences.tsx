/** Two issues of a sheet side by side, where they differ. */
import { Table } from '@mantine/core';
import type { Difference } from '@orthochrom/contract/sheet/sheetDifferences.ts';

type DifferencesProps = { title: string; differences: readonly Difference[] };

export function Differences({ title, differences }: DifferencesProps) {
  const said = (value: Difference['was']): string => (value === undefined ? '–' : String(value));
  return (
    <section className="card scrollx" aria-label={title}>
      <h2 className="tape">{title}</h2>
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Field</Table.Th>
            <Table.Th>was</Table.Th>
            <Table.Th>now</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {differences.map(({ field, was, now }) => (
            <Table.Tr key={field}>
              <Table.Td>{field}</Table.Td>
              <Table.Td>{said(was)}</Table.Td>
              <Table.Td>
                <strong>{said(now)}</strong>
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </section>
  );
}
