/**
 * How the air held over one coat: lowest and highest flowing at the gun, panel by panel where the
 * gauge saw it.
 */
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { starvationOver, SWING_KPA } from '@orthochrom/core/compressedAir/starvation.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import type { Format } from '@orthochrom/contract/words/format.ts';

type FlowingRecordProps = { coat: Coat; nameOf: (panelId: string) => string; format: Format };

export function FlowingRecord({ coat, nameOf, format: { pressure, joined } }: FlowingRecordProps) {
  const { lowestInletKPa, highestInletKPa } = coat;
  if (lowestInletKPa === undefined && highestInletKPa === undefined) return null;
  const seen = coat.panelsSprayed.flatMap(
    ({ panelId, lowestInletKPa: low, highestInletKPa: high }) =>
      low === undefined || high === undefined
        ? []
        : [{ panelId, lowestKPa: low, highestKPa: high }],
  );
  const spells =
    seen.length > 0
      ? seen
      : lowestInletKPa === undefined || highestInletKPa === undefined
        ? []
        : [{ lowestKPa: lowestInletKPa, highestKPa: highestInletKPa }];
  const isStarving = spells.length > 0 && starvationOver(spells).isStarving;
  const text = (kPa: number | undefined) =>
    kPa === undefined ? 'not read' : joined(pressure(kPa));
  return (
    <div className="card stack">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Pressure at the gun, flowing
      </h2>
      <p>
        Lowest <strong>{text(lowestInletKPa)}</strong>, highest{' '}
        <strong>{text(highestInletKPa)}</strong>.
        {seen.length > 1 &&
          ` ${seen.map(({ panelId, lowestKPa, highestKPa }) => `${panelName(nameOf(panelId))} ${pressure(lowestKPa).text} to ${joined(pressure(highestKPa))}`).join(', ')}.`}
      </p>
      {isStarving && (
        <p role="status">
          It fell by more than {joined(pressure(SWING_KPA))}, or from panel to panel: the air could
          not keep up.
        </p>
      )}
    </div>
  );
}
