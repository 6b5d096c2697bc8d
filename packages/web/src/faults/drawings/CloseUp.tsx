/** A fault seen close, under the lamp, as bad as the slider says where it is not told. */
import { closeUpOf } from '@orthochrom/core/look/closeUp.ts';
import { useCallback } from 'react';
import { LampPicture } from '../../lamp/LampPicture.tsx';
import type { Shown } from './closeUps.ts';
import styles from './Drawing.module.css';
import { HEIGHT, WIDTH } from './scatter.ts';
import { useSeverity } from './severity.ts';

const SEED = 5;

export function CloseUp({ shown, severity: told }: { shown: Shown; severity?: number }) {
  const [kept] = useSeverity();
  const severity = told ?? kept;
  const litOf = useCallback(() => {
    const { closeUp, colour, cellMm, steepness } = shown;
    const place = { columns: WIDTH, rows: HEIGHT, cellMm, seed: SEED };
    return { surface: closeUpOf({ closeUp, severity, ...place }), colour, steepness };
  }, [shown, severity]);
  return <LampPicture columns={WIDTH} rows={HEIGHT} className={styles['drawing']} litOf={litOf} />;
}
