import { useEffect, useState } from 'react';
import { useRouteError } from 'react-router';
import { isPageOld, openAnew } from '../api/pageAge.ts';

/** Browsers word it differently: a script that does not come is a TypeError of `import()`. */
const didNotCome = (error: unknown): boolean =>
  error instanceof TypeError && /dynamically imported|importing a module/i.test(error.message);

/**
 * The page failed: said in words, with a way on; what was saved is safe on the server. One that a
 * newer server holds no more is opened anew by itself: nothing was typed on it yet.
 */
export function Broken() {
  const isMissing = didNotCome(useRouteError());
  const [isOld, setOld] = useState(false);
  useEffect(() => {
    if (!isMissing) return;
    void isPageOld().then((isNow) => {
      setOld(isNow);
      return isNow ? openAnew() : undefined;
    });
  }, [isMissing]);
  if (isOld)
    return <p className="page">Orthochrom was made newer in the shop. Opening the newer page …</p>;
  return (
    <section className="page stack">
      <h1>{isMissing ? 'This page has not come' : 'This page failed'}</h1>
      {isMissing ? (
        <p>
          The shop’s server does not answer, and this device has not kept the page. Nothing you
          typed elsewhere is lost.
        </p>
      ) : (
        <p>
          Everything you saved is safe with the shop’s server. Open it again; if it fails again,
          tell whoever keeps this program what you were doing.
        </p>
      )}
      <p className="row">
        <a href={location.href}>Open it again</a>
        <a href="/">Back to Today</a>
      </p>
    </section>
  );
}
