/**
 * Whether the server gives out a newer page than the one that stands open: a tablet at the bench is
 * not closed for weeks, and the shop's program is made newer under it.
 */

/** The script this page began with; its name holds a fingerprint of all that it was built from. */
const ownScript = (): string =>
  document.querySelector<HTMLScriptElement>('script[type=module][src]')?.getAttribute('src') ?? '';

/** Asked past whatever keeps pages on this device; no answer is no newer one. */
export async function isPageOld(): Promise<boolean> {
  try {
    const answer = await fetch('/?as=served', { cache: 'no-store' });
    return answer.ok && !(await answer.text()).includes(ownScript());
  } catch {
    return false;
  }
}

/** Opens this page anew, once the device keeps the newer one. */
export async function openAnew(): Promise<void> {
  const keeper = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  await keeper?.update().catch(() => undefined);
  const coming = keeper?.installing ?? keeper?.waiting;
  if (coming) await settled(coming);
  location.reload();
}

/** Kept, or given up: a device that is full must not hold the page. */
const settled = (coming: ServiceWorker): Promise<void> =>
  new Promise((resolve) => {
    const look = () => {
      if (coming.state === 'activated' || coming.state === 'redundant') resolve();
    };
    coming.addEventListener('statechange', look);
    look();
  });
