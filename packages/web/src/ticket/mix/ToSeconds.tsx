/** Thin it to so many seconds: half of it, stir, time it again; never past the sheet. */
import { Button } from '@mantine/core';
import { thinnedTo } from '@orthochrom/contract/plan/toSeconds.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import type { FlowCup, Mix } from '@orthochrom/contract/shop/ticket.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { useState } from 'react';
import { FigureInput } from '../../units/FigureInput.tsx';

type ToSecondsProps = {
  mix: Mix;
  sheet: Sheet;
  flowCup: FlowCup;
  units: Units;
  busy: boolean;
  /** Keeps what was poured more; absent where the mix can no longer be changed. */
  onAdded?: (more: { name: string; ml: number }) => void;
};

export function ToSeconds({ mix, sheet, flowCup, units, busy, onAdded }: ToSecondsProps) {
  const [wantedSeconds, want] = useState<number>();
  const format = formatFor(units);
  const volume = (ml: number) => format.joined(format.volume(ml));
  const isSlower = wantedSeconds !== undefined && wantedSeconds < flowCup.seconds;
  const thinned = isSlower ? thinnedTo({ mix, sheet, flowCup, wantedSeconds }) : undefined;
  return (
    <div className="stack">
      <FigureInput
        label="It should run in"
        description="the last of the reducer by the cup"
        kind="seconds"
        field="wantedSeconds"
        least={1}
        onChange={(entered) => want(entered?.canonical)}
      />
      {thinned && thinned.mostMl > 0 && (
        <p role="status">
          <strong>
            Add {volume(thinned.firstMl)} {thinned.name}
          </strong>
          , stir, time it again: half of the {volume(Math.min(thinned.wantedMl, thinned.mostMl))} it
          may take.
          {thinned.wantedMl > thinned.mostMl &&
            ` The seconds would want ${volume(thinned.wantedMl)}; the sheet stops at ${volume(thinned.mostMl)}: warm the paint instead.`}
        </p>
      )}
      {thinned && thinned.mostMl > 0 && onAdded && (
        <div>
          <Button
            variant="default"
            loading={busy}
            onClick={() => onAdded({ name: thinned.name, ml: thinned.firstMl })}
          >
            {volume(thinned.firstMl)} is in, stirred
          </Button>
        </div>
      )}
      {thinned && thinned.mostMl <= 0 && (
        <p role="status">
          The sheet lets no more reducer into this mix. Warm the paint: it runs quicker by itself.
        </p>
      )}
      {wantedSeconds !== undefined && !isSlower && <p role="status">It is thin enough already.</p>}
      {isSlower && !thinned && (
        <p role="status">Nothing in this recipe thins it; the paint’s temperature does.</p>
      )}
    </div>
  );
}
