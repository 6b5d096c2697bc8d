/**
 * The range that the gun maker’s leaflet prints: both ends or none, for half a range is no range.
 */
import { useState } from 'react';
import { FigureInput } from '../units/FigureInput.tsx';

type Band = [number, number];
const ENDS = ['Leaflet, from', 'Leaflet, to'] as const;

export function LeafletBand({
  band,
  onChange,
}: {
  band: Band | undefined;
  onChange: (band: Band | undefined) => void;
}) {
  const [ends, setEnds] = useState<(number | undefined)[]>(band ?? [undefined, undefined]);
  const enter = (end: number, kPa: number | undefined) => {
    const next = ends.map((was, i) => (i === end ? kPa : was));
    setEnds(next);
    const [low, high] = next;
    onChange(low !== undefined && high !== undefined ? [low, high] : undefined);
  };
  return (
    <>
      {ENDS.map((label, end) => (
        <FigureInput
          key={label}
          label={label}
          kind="pressure"
          field="leafletInletKPa"
          {...(ends[end] === undefined ? {} : { value: ends[end] })}
          onChange={(entered) => enter(end, entered?.canonical)}
        />
      ))}
    </>
  );
}
