/** Two issues of a sheet side by side, where they differ. */
import { Table } from '@mantine/core';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { Difference } from '@orthochrom/contract/sheet/sheetDifferences.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { usePainter } from '../frame/painter.ts';
import { differenceText } from './differenceText.ts';

type DifferencesProps = {
  title: string;
  differences: readonly Difference[];
  /** The later of the two: it names the recipes. */
  sheet: object;
  products: readonly Sheet[];
};

export function Differences({ title, differences, sheet, products }: DifferencesProps) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  return (
    <section className="card scrollx" aria-label={title}>
      <h2 className="tape">{title}</h2>
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>What</Table.Th>
            <Table.Th>was</Table.Th>
            <Table.Th>now</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {differences.map((difference) => {
            const { what, was, now } = differenceText(difference, { sheet, products, format });
            return (
              <Table.Tr key={difference.field}>
                <Table.Td>{what}</Table.Td>
                <Table.Td>{was}</Table.Td>
                <Table.Td>
                  <strong>{now}</strong>
                </Table.Td>
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
    </section>
  );
}
