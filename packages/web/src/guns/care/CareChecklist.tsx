/** A round of care on a page of its own. The drawing follows the item that is next. */
import { Button } from '@mantine/core';
import { CareList } from './CareList.tsx';
import { GunDrawing } from './GunDrawing.tsx';
import { useCareRound, type CareRoundOf } from './useCareRound.ts';

export function CareChecklist({ finish, ...of }: CareRoundOf & { finish: string }) {
  const round = useCareRound(of);
  return (
    <div className="stack">
      <GunDrawing lit={round.next?.parts ?? []} />
      <CareList round={round} />
      <div className="row">
        <Button size="lg" loading={round.busy} disabled={round.isOpen} onClick={round.save}>
          {finish}
        </Button>
        <Button size="lg" variant="default" onClick={round.doAll}>
          All done as listed
        </Button>
      </div>
    </div>
  );
}
