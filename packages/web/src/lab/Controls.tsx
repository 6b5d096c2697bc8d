/** What can be moved, grouped as the trade thinks: air, paint, gun, hand, time. */
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { AirPaintControls } from './AirPaintControls.tsx';
import styles from './Controls.module.css';
import { GunHandControls } from './GunHandControls.tsx';
import type { GroupProps } from './Knob.tsx';
import { TimeControls } from './TimeControls.tsx';

export function Controls({ guns, ...shared }: GroupProps & { guns: StoredGun[] }) {
  return (
    <div className={styles['controls']}>
      <AirPaintControls {...shared} />
      <GunHandControls {...shared} guns={guns} />
      <TimeControls {...shared} />
    </div>
  );
}
