/** The work this coat is: fan and fluid are set together for it, and to be set back after. */
import type { PartKind } from '@orthochrom/core/trade/vocabulary.ts';
import { Checkbox, SegmentedControl } from '@mantine/core';
import type { Wishes } from '@orthochrom/contract/plan/contextOf.ts';

const PARTS: [PartKind, string][] = [
  ['largePanel', 'Large panel'],
  ['smallPart', 'Small part'],
  ['jamb', 'Jamb, narrow'],
  ['spot', 'Spot, all three down'],
];

type PresetPickerProps = { usual: PartKind; wishes: Wishes; setWishes: (wishes: Wishes) => void };

export function PresetPicker({ usual, wishes, setWishes }: PresetPickerProps) {
  const part = wishes.part ?? usual;
  return (
    <div className="row" style={{ alignItems: 'center' }}>
      <SegmentedControl
        aria-label="This coat is for"
        value={part}
        data={PARTS.map(([value, label]) => ({ value, label }))}
        onChange={(next) => setWishes({ ...wishes, part: next as PartKind })}
      />
      <Checkbox
        size="md"
        label="Mist coat: wide and little"
        checked={wishes.mist ?? false}
        onChange={(event) => setWishes({ ...wishes, mist: event.currentTarget.checked })}
      />
    </div>
  );
}
