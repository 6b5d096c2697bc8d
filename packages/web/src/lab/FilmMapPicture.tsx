/**
 * The panel from the front, pass by pass, on a canvas: as a lamp shows it, or film by colour, light
 * where it is thin, dark where it is thick.
 */
import { Button, Switch } from '@mantine/core';
import { PlayIcon } from 'lucide-react';
import type { FilmMap } from '@orthochrom/core/gun/filmMap.ts';
import { interpolateRgbBasis, scaleLinear } from 'd3';
import { useEffect, useRef, useState } from 'react';
import { shaded } from '@orthochrom/core/look/shading.ts';
import { flatSurface } from '@orthochrom/core/look/surface.ts';
import { useFilmMap } from '../heavy/heavy.ts';
import type { MapAsk } from './mapAsk.ts';
import { Picture, type Side } from './Pictures.tsx';
import styles from './Pictures.module.css';

const CELLS = { columns: 400, rows: 200 };
const SEED = 7;
const PASS_MS = 260;
/** From bare to twice the wanted film: primer grey, through amber, to a dark that warns. */
const SHADES = ['#f4f3f0', '#f0d9a8', '#e8a03c', '#b35d0c', '#5a2508'];
const COLOURS = interpolateRgbBasis(SHADES);
/** Films differ by micrometres over centimetres: drawn steep, as a lamp shows them. */
const PANEL_LIGHT = { lampAt: 0.22, colour: [128, 70, 26], steepness: 400, seed: SEED } as const;

const askOf = ({ setup, answer }: Side, isHeld: boolean, passesLaid?: number): MapAsk => ({
  panelM: { length: setup.panel.lengthM ?? 1.2, height: setup.panel.heightM ?? 0.7 },
  cells: CELLS,
  fan: { beta: answer.pass.beta, split: answer.pass.split },
  tiltDeg: setup.technique?.tiltDeg ?? 0,
  distanceM: (setup.settings.distanceMm ?? 150) / 1000,
  fanWidthM: answer.fanWidthMm.value / 1000,
  fanHeightM: answer.pass.fanHeightMm / 1000,
  stepM: answer.stepMm / 1000,
  landedM3PerS: answer.pass.landedMlPerMin / 6e7,
  gunSpeedMPerS: answer.settings['gunSpeedMPerS'] ?? 0.45,
  wanderM: answer.pass.wanderMm / 1000,
  unsteady: (setup.technique?.speedWobblePercent ?? 4) / 100,
  isTriggerHeld: isHeld,
  seed: SEED,
  ...(passesLaid === undefined ? {} : { passesLaid }),
});

export function FilmMapPicture({ side, film }: { side: Side; film: (um: number) => string }) {
  const [isHeld, setIsHeld] = useState(false);
  const [isByFilm, setByFilm] = useState(false);
  const lengthMm = (side.setup.panel.lengthM ?? 1.2) * 1000;
  const [passesLaid, setPassesLaid] = useState<number>();
  const { answer: map } = useFilmMap(askOf(side, isHeld, passesLaid));
  const canvas = useRef<HTMLCanvasElement>(null);
  const wantedUm = Math.max(1, side.answer.film.wetUm.value);
  useEffect(() => {
    if (!map || !canvas.current) return;
    if (isByFilm) draw(canvas.current, map, wantedUm);
    else drawLit(canvas.current, map, { wantedUm, lengthMm });
  }, [map, wantedUm, isByFilm, lengthMm]);
  const passes = map?.passes ?? 0;
  usePlay(passesLaid, passes, setPassesLaid);
  const range = map ? rangeOf(map) : undefined;
  return (
    <Picture
      title={`The panel, ${passesLaid === undefined ? `${passes} passes` : `pass ${Math.min(passes, Math.ceil(passesLaid))} of ${passes}`}`}
      says={
        range
          ? `Between ${film(range.low)} and ${film(range.high)} over most of it, with a hand that wanders ${side.answer.pass.wanderMm.toFixed(0)} mm.${
              isHeld ? ' Trigger held at the turns: the ends carry the runs.' : ''
            }`
          : 'Laying the passes …'
      }
    >
      <canvas
        ref={canvas}
        width={CELLS.columns}
        height={CELLS.rows}
        role="img"
        aria-label="Film over the panel"
        style={{
          width: '100%',
          aspectRatio: '2 / 1',
          border: '1px solid var(--rule)',
          imageRendering: 'auto',
        }}
      />
      {isByFilm && (
        <div className={styles['scale']} aria-hidden="true">
          <span>bare</span>
          <span
            className={styles['shades']}
            style={{ background: `linear-gradient(90deg, ${SHADES.join(', ')})` }}
          />
          <span>{film(2 * wantedUm)}</span>
        </div>
      )}
      <div className="row" style={{ justifyContent: 'space-between' }}>
        <Button
          variant="default"
          leftSection={<PlayIcon size={18} aria-hidden="true" />}
          onClick={() => setPassesLaid(0.02)}
        >
          Lay it pass by pass
        </Button>
        <Switch
          label="By film, not by lamp"
          checked={isByFilm}
          onChange={({ currentTarget }) => setByFilm(currentTarget.checked)}
        />
        <Switch
          label="Trigger held at the turns"
          checked={isHeld}
          onChange={({ currentTarget }) => setIsHeld(currentTarget.checked)}
        />
      </div>
    </Picture>
  );
}

/** Lays one pass after another, then rests on the whole panel. */
function usePlay(
  laid: number | undefined,
  passes: number,
  set: (laid: number | undefined) => void,
): void {
  useEffect(() => {
    if (laid === undefined) return;
    const timer = setTimeout(() => set(laid >= passes ? undefined : laid + 0.34), PASS_MS / 3);
    return () => clearTimeout(timer);
  }, [laid, passes, set]);
}

function draw(
  canvas: HTMLCanvasElement,
  { filmM, columns, rows }: FilmMap,
  wantedUm: number,
): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const image = context.createImageData(columns, rows);
  const shade = scaleLinear([0, 2 * wantedUm], [0, 1]).clamp(true);
  const table = Array.from({ length: 256 }, (_, i) =>
    COLOURS(i / 255)
      .match(/\d+/g)!
      .map(Number),
  );
  for (let i = 0; i < filmM.length; i++) {
    const [red, green, blue] = table[Math.round(shade(filmM[i]! * 1e6) * 255)]!;
    image.data.set([red!, green!, blue!, 255], i * 4);
  }
  context.putImageData(image, 0, 0);
}

/** As the eye has it: two lamps in the wet film, grain where it is dry. */
function drawLit(
  canvas: HTMLCanvasElement,
  { filmM, columns, rows }: FilmMap,
  { wantedUm, lengthMm }: { wantedUm: number; lengthMm: number },
): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const surface = flatSurface(columns, rows, lengthMm / columns);
  filmM.forEach((film, i) => {
    surface.heightUm[i] = film * 1e6;
    surface.wetness[i] = (1.1 * film * 1e6) / wantedUm;
    // Bare ground is paler than paint.
    surface.tone[i] = Math.max(0, 0.6 - (film * 1e6) / wantedUm);
  });
  const picture = shaded(surface, PANEL_LIGHT);
  context.putImageData(new ImageData(picture, columns, rows), 0, 0);
}

/** The film that eight cells in ten have, away from the edges. */
function rangeOf({ filmM, columns, rows }: FilmMap): { low: number; high: number } {
  const inner = filmM.filter((_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    return (
      row > rows * 0.15 && row < rows * 0.85 && column > columns * 0.04 && column < columns * 0.96
    );
  });
  const sorted = inner.sort();
  return {
    low: sorted[Math.floor(sorted.length * 0.1)]! * 1e6,
    high: sorted[Math.floor(sorted.length * 0.9)]! * 1e6,
  };
}
