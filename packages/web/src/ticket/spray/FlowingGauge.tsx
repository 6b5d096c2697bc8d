/** The gauge at the gun while spraying: now, lowest, highest; a sag is said at once. */
import { useFlowing } from '../../api/reads.ts';
import type { Units } from '@orthochrom/contract/shop/setup.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { GaugePicture } from '../gun/Instruments.tsx';
import { FigureTile } from '../step/FigureTile.tsx';

/** Three psi under what was set: the painter is told. */
const SAG_KPA = 20.7;
const EVERY_MS = 1000;

export function FlowingGauge({
  coatId,
  setInletKPa,
  bandKPa,
  units,
}: {
  coatId: string;
  setInletKPa: number;
  bandKPa: readonly [number, number];
  units: Units;
}) {
  const { data } = useFlowing(coatId, {
    refreshInterval: EVERY_MS,
  });
  const { pressure, joined } = formatFor(units);
  const flowing = data?.flowing;
  // Its room is there before its figures are: no button moves under a finger.
  if (!flowing)
    return (
      <FigureTile
        name="flowing"
        label="At the gun now"
        figure={{ text: '–', unit: '' }}
        note={data ? 'No gauge at the gun is read here.' : 'Reading the gauge …'}
      />
    );
  const isSagging = flowing.nowKPa < setInletKPa - SAG_KPA;
  return (
    <FigureTile
      name="flowing"
      label="At the gun, stand-in gauge"
      figure={pressure(flowing.nowKPa)}
      picture={<GaugePicture inletKPa={flowing.nowKPa} bandKPa={bandKPa} units={units} />}
      note={
        <>
          {isSagging && (
            <strong role="alert" style={{ color: 'var(--stop)', fontSize: '1.15rem' }}>
              The pressure is sinking. Finish the pass, let go, and let the tank recover; then go on
              in smaller sections.{' '}
            </strong>
          )}
          lowest {pressure(flowing.lowestKPa).text}, highest {pressure(flowing.highestKPa).text};
          set to {joined(pressure(setInletKPa))}
        </>
      }
    />
  );
}
