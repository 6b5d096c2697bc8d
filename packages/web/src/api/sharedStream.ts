/**
 * One stream of events for all tabs of a browser: the tab that holds the lock listens to the server
 * and tells the others. When it goes, the next one takes over.
 */
import { ADDRESS } from './resources.ts';

export type StreamEvent =
  | { kind: 'air' | 'changed'; data: string }
  /** Whether the server is heard; `isAnew`: from now on, so that something may have been missed. */
  | { kind: 'connected'; is: boolean; isAnew: boolean };
type Message = StreamEvent | { kind: 'hello' };
type Hear = (event: StreamEvent) => void;

const NAME = 'orthochrom-stream';

/** @returns the way to stop listening */
export function listen(hear: Hear): () => void {
  // Without locks (a page that is not of a trusted origin) every tab listens for itself.
  if (!('locks' in navigator) || typeof BroadcastChannel === 'undefined') return openStream(hear);
  const channel = new BroadcastChannel(NAME);
  const leaving = new AbortController();
  let isLeading = false;
  let isConnected = true;
  channel.addEventListener('message', ({ data }: MessageEvent<Message>) => {
    if (data.kind !== 'hello') hear(data);
    else if (isLeading) channel.postMessage({ kind: 'connected', is: isConnected, isAnew: false });
  });
  channel.postMessage({ kind: 'hello' } satisfies Message);
  const lead = () =>
    new Promise<void>((resolve) => {
      isLeading = true;
      const close = openStream((event) => {
        if (event.kind === 'connected') isConnected = event.is;
        hear(event);
        channel.postMessage(event);
      });
      const leave = () => {
        close();
        resolve();
      };
      if (leaving.signal.aborted) leave();
      else leaving.signal.addEventListener('abort', leave);
    });
  navigator.locks.request(NAME, { signal: leaving.signal }, lead).catch(() => undefined);
  return () => {
    leaving.abort();
    channel.close();
  };
}

function openStream(hear: Hear): () => void {
  const stream = new EventSource(ADDRESS.stream);
  stream.addEventListener('open', () => hear({ kind: 'connected', is: true, isAnew: true }));
  stream.addEventListener('error', () => hear({ kind: 'connected', is: false, isAnew: false }));
  for (const kind of ['air', 'changed'] as const)
    stream.addEventListener(kind, ({ data }: MessageEvent<string>) => hear({ kind, data }));
  return () => stream.close();
}
