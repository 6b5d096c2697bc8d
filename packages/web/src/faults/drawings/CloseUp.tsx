/** A fault seen close, under the lamp, as bad as the slider says. */
import { closeUpOf } from '@orthochrom/core/look/closeUp.ts';
import { shaded } from '@orthochrom/core/look/shading.ts';
import { useEffect, useRef } from 'react';
import { SHOWN_AS } from './closeUps.ts';
import styles from './Drawing.module.css';
import { HEIGHT, WIDTH } from './scatter.ts';
import { useSeverity } from './severity.ts';

const SEED = 5;
const LAMP_AT = 0.22;

export function CloseUp({ name }: { name: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [severity] = useSeverity();
  useEffect(() => {
    // One picture a task: a page full of them never holds a finger up.
    const timer = setTimeout(() => canvas.current && draw(canvas.current, name, severity));
    return () => clearTimeout(timer);
  }, [name, severity]);
  return (
    <canvas
      ref={canvas}
      width={WIDTH}
      height={HEIGHT}
      className={styles['drawing']}
      aria-hidden="true"
    />
  );
}

function draw(canvas: HTMLCanvasElement, name: string, severity: number): void {
  const context = canvas.getContext('2d');
  const shown = SHOWN_AS[name];
  if (!context || !shown) return;
  const { closeUp, colour, cellMm, steepness } = shown;
  const surface = closeUpOf({
    closeUp,
    severity,
    seed: SEED,
    columns: WIDTH,
    rows: HEIGHT,
    cellMm,
  });
  const picture = shaded(surface, {
    lampAt: LAMP_AT,
    colour,
    steepness,
    seed: SEED,
  });
  context.putImageData(new ImageData(picture, WIDTH, HEIGHT), 0, 0);
}
