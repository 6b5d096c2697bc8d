import { layOutOverlap } from './overlapLayout.ts';

const [WIDTH_PX, HEIGHT_PX] = [220, 64];

/** How the passes lie over each other, and how even the sum is. */
export function OverlapPicture({ overlapPercent }: { overlapPercent: number }) {
  const layout = layOutOverlap(overlapPercent, WIDTH_PX, HEIGHT_PX);
  return (
    <svg viewBox={`0 0 ${WIDTH_PX} ${HEIGHT_PX}`} aria-hidden="true">
      {layout.humps.map((path, i) => (
        <path key={i} d={path} fill="var(--amber)" fillOpacity="0.28" />
      ))}
      <path d={layout.sum} fill="none" stroke="var(--ink)" strokeWidth="2.5" />
    </svg>
  );
}
