/** A burst on paper, as plain as asked. */
import type { Pattern } from '@orthochrom/core/gun/patternSymptoms.ts';
import { burstOf, PAPER } from '@orthochrom/core/look/burst.ts';
import type { Rgb } from '@orthochrom/core/look/shading.ts';
import { useCallback } from 'react';
import { LampPicture } from '../../lamp/LampPicture.tsx';
import styles from './PatternPicker.module.css';

const INK: Rgb = [38, 46, 58];
const STEEPNESS = 40;
const COLUMNS = 150;
const ROWS = Math.round((COLUMNS * PAPER.highMm) / PAPER.wideMm);
const SEED = 11;
/** Plain enough to be told at a glance, not so plain that no gun ever made it. */
const PLAIN = 0.85;

export function PatternPicture({
  pattern,
  severity = PLAIN,
}: {
  pattern: Pattern;
  severity?: number;
}) {
  const litOf = useCallback(
    () => ({
      surface: burstOf({ pattern, severity, columns: COLUMNS, seed: SEED }),
      colour: INK,
      steepness: STEEPNESS,
    }),
    [pattern, severity],
  );
  return <LampPicture columns={COLUMNS} rows={ROWS} className={styles['paper']} litOf={litOf} />;
}
