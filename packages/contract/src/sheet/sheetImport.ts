/** What a file of sheets would change, product by product, before anything is changed. */
import { refusalOf } from '../quantity/refusal.ts';
import { textOf } from './byPath.ts';
import { Sheet } from './sheet.ts';
import { sheetFaults } from './sheetChecks.ts';
import { sheetDifferences, type Difference } from './sheetDifferences.ts';

export type Incoming = {
  id: string;
  name: string;
  state: 'new' | 'changed' | 'same' | 'refused';
  differences: Difference[];
  refusals: { field: string; message: string }[];
  /** With the number that it would be kept under. */
  sheet?: Sheet;
};

const isLike = (was: Sheet, now: Sheet): boolean => sheetDifferences(was, now).length === 0;

/** An issue that is kept never changes: what differs is the next one. */
const numbered = (sheet: Sheet, was: Sheet | undefined): Sheet =>
  was && !isLike(was, sheet) && sheet.number <= was.number
    ? { ...sheet, number: was.number + 1 }
    : sheet;

/** Companions first: a paint's sheet names its reducers and hardeners. */
const companionsFirst = (incoming: readonly Incoming[]): Incoming[] =>
  [...incoming].sort(
    (a, b) => Number(a.sheet?.recipes !== undefined) - Number(b.sheet?.recipes !== undefined),
  );

/** Every product of a file held against those that are kept; nothing is changed by it. */
export function incomingSheets(
  given: readonly unknown[],
  kept: ReadonlyMap<string, Sheet>,
): Incoming[] {
  const parsed = given.map((one) => ({ one, parsed: Sheet.safeParse(one) }));
  const together = new Map(kept);
  for (const { parsed: read } of parsed) if (read.success) together.set(read.data.id, read.data);
  const incoming = parsed.map(({ one, parsed: read }): Incoming => {
    const loose = (typeof one === 'object' && one !== null ? one : {}) as Record<string, unknown>;
    const [id, name] = [textOf(loose['id']), textOf(loose['name'])];
    const was = kept.get(id);
    const differences = sheetDifferences(was, loose);
    const refused = (refusals: Incoming['refusals']): Incoming => ({
      id,
      name,
      state: 'refused',
      differences,
      refusals,
    });
    if (!read.success) {
      const report = refusalOf(read.error, one);
      return refused(
        [report, ...(report.more ?? [])].map(({ path, message }) => ({
          field: path.join('.'),
          message,
        })),
      );
    }
    const faults = sheetFaults(read.data, together);
    if (faults.length > 0)
      return refused(faults.map(({ path, message }) => ({ field: path.join('.'), message })));
    const state = was ? (isLike(was, read.data) ? 'same' : 'changed') : 'new';
    return { id, name, state, differences, refusals: [], sheet: numbered(read.data, was) };
  });
  return companionsFirst(incoming);
}
