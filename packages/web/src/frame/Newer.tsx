/** Said when the shop's program was made newer than the page that stands open. */
import { Button } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { isPageOld, openAnew } from '../api/pageAge.ts';
import styles from './Shell.module.css';

/** @param connected a newer server was away first: asked whenever it is heard again */
export function Newer({ connected }: { connected: boolean }) {
  const [isOld, setOld] = useState(false);
  const [isOpening, setOpening] = useState(false);
  const wasLost = useRef(false);
  useEffect(() => {
    if (!connected) wasLost.current = true;
    else if (wasLost.current) void isPageOld().then(setOld);
  }, [connected]);
  if (!isOld) return null;
  return (
    <div role="status" className={`row ${styles['newer']}`}>
      <span>
        Orthochrom was made newer in the shop
        <span className={styles['more']}>
          ; this page is as it was. Finish what you are typing, then open it anew
        </span>
        .
      </span>
      <Button
        variant="default"
        loading={isOpening}
        onClick={() => (setOpening(true), void openAnew())}
      >
        Open it anew
      </Button>
    </div>
  );
}
