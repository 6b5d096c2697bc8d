/**
 * Server-sent events to every screen that listens: what was written, and the air as it moves. The
 * air is asked once for all of them, and only while somebody listens.
 */
import type { Response } from 'express';
import type { Changes } from './changes.ts';

const AIR_EVERY_MS = 2000;
/** A screen that takes nothing for so long has gone to sleep: it comes back by itself. */
const MOST_UNREAD_BYTES = 1_000_000;

/** Whoever was signed out hears no more within this. */
const ASK_EVERY_MS = 15_000;

async function closeWhenOut(res: Response, isStillIn: () => Promise<boolean>): Promise<void> {
  // A database that is away signs nobody out.
  if (!(await isStillIn().catch(() => true))) res.end();
}

export class Stream {
  private readonly screens = new Set<Response>();
  private readonly air: () => Promise<unknown>;
  private timer: NodeJS.Timeout | undefined;

  constructor(changes: Pick<Changes, 'on'> | undefined, air: () => Promise<unknown>) {
    this.air = air;
    changes?.on((change) => this.tell('changed', change));
  }

  /** Keeps a response open as a stream until its screen goes. */
  open(res: Response, isStillIn?: () => Promise<boolean>): void {
    res.set({
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    res.flushHeaders();
    this.screens.add(res);
    this.timer ??= setInterval(() => void this.tellAir(), AIR_EVERY_MS);
    const asking = isStillIn && setInterval(() => void closeWhenOut(res, isStillIn), ASK_EVERY_MS);
    res.on('close', () => {
      clearInterval(asking);
      this.close(res);
    });
    void this.tellAir([res]);
  }

  private close(res: Response): void {
    this.screens.delete(res);
    if (this.screens.size > 0) return;
    clearInterval(this.timer);
    this.timer = undefined;
  }

  private async tellAir(screens: Iterable<Response> = this.screens): Promise<void> {
    const air = await this.air().catch(() => undefined);
    if (air) this.tell('air', air, screens);
  }

  private tell(event: string, data: unknown, screens: Iterable<Response> = this.screens): void {
    const text = `event: ${event}\ndata: ${JSON.stringify(data)}\n\n`;
    for (const screen of [...screens]) {
      if (screen.writableLength > MOST_UNREAD_BYTES) screen.destroy();
      else screen.write(text);
    }
  }
}
