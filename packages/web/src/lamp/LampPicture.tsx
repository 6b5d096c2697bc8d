/** A surface under the lamp, drawn when the page has a moment; words beside it say the same. */
import type { Light } from '@orthochrom/core/look/shading.ts';
import { shaded } from '@orthochrom/core/look/shading.ts';
import type { Surface } from '@orthochrom/core/look/surface.ts';
import { useIntersection, useMergedRef } from '@mantine/hooks';
import { useEffect, useRef } from 'react';
import { useLamp } from './lamp.ts';

const SEED = 5;

export type Lit = { surface: Surface } & Pick<Light, 'colour' | 'steepness'>;

export function LampPicture({
  columns,
  rows,
  className,
  litOf,
}: {
  columns: number;
  rows: number;
  className: string | undefined;
  /** Kept by the caller while it says the same. */
  litOf: () => Lit;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { ref, entry } = useIntersection();
  const isSeen = entry?.isIntersecting ?? false;
  const [lampAt] = useLamp();
  const drawn = useRef<{ litOf: () => Lit; lampAt: number }>(undefined);
  useEffect(() => {
    // What lies in a closed drawer, or under the fold, costs nothing until it is seen.
    const isDrawn = drawn.current?.litOf === litOf && drawn.current.lampAt === lampAt;
    if (!isSeen || isDrawn) return;
    // One picture a task: a page full of them never holds a finger up.
    const timer = setTimeout(() => {
      const context = canvas.current?.getContext('2d');
      if (!context) return;
      drawn.current = { litOf, lampAt };
      const { surface, ...light } = litOf();
      const picture = shaded(surface, { ...light, lampAt, seed: SEED });
      context.putImageData(new ImageData(picture, surface.columns, surface.rows), 0, 0);
    });
    return () => clearTimeout(timer);
  }, [litOf, lampAt, isSeen]);
  return (
    <canvas
      ref={useMergedRef(canvas, ref)}
      width={columns}
      height={rows}
      className={className}
      aria-hidden="true"
    />
  );
}
