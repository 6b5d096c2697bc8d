/**
 * Calculations beside the thread that serves: a question that takes too long or too much is ended,
 * and nobody else waits for it.
 */
import { availableParallelism } from 'node:os';
import type { Outcome } from '@orthochrom/contract/calculations/outcome.ts';
import Piscina from 'piscina';
import { Busy, TakesTooLong } from '../http/faults.ts';

export type Bounds = { mostMs: number; mostMegabytes: number };
const BOUNDS: Bounds = { mostMs: 10_000, mostMegabytes: 256 };
const MOST_WAITING = 500;
const LONGEST_WAIT_MS = 60_000;
const IDLE_MS = 60_000;

export class Calculator {
  private readonly pool: Piscina;
  private readonly bounds: Bounds;
  private readonly onBegun = new Map<number, () => void>();
  private turns = 0;

  /** @param workerPath the script of its threads, built or from source */
  constructor(workerPath: string, bounds: Bounds = BOUNDS) {
    this.bounds = bounds;
    this.pool = new Piscina({
      filename: workerPath,
      minThreads: 0,
      maxThreads: Math.max(1, availableParallelism() - 1),
      idleTimeout: IDLE_MS,
      maxQueue: MOST_WAITING,
      resourceLimits: { maxOldGenerationSizeMb: bounds.mostMegabytes },
    });
    this.pool.on('message', ({ begun }: { begun: number }) => this.onBegun.get(begun)?.());
  }

  /**
   * The bound is on its own work: waiting for others, or for a thread to start, is not part of it.
   * @throws TakesTooLong past its time or memory, Busy where too many wait already
   */
  async outcomeOf(name: string, input: unknown): Promise<Outcome> {
    const { mostMs, mostMegabytes } = this.bounds;
    const turn = ++this.turns;
    const ending = new AbortController();
    let hasBegun = false;
    let timer = setTimeout(() => ending.abort(), LONGEST_WAIT_MS);
    this.onBegun.set(turn, () => {
      hasBegun = true;
      clearTimeout(timer);
      timer = setTimeout(() => ending.abort(), mostMs);
    });
    try {
      const { signal } = ending;
      return (await this.pool.run({ turn, name, input }, { signal })) as Outcome;
    } catch (fault) {
      const { name: kind = '', code = '' } = fault as { name?: string; code?: string };
      const isEnded = kind === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (isEnded && hasBegun)
        throw new TakesTooLong(
          `This question takes over ${mostMs / 1000} s or ${mostMegabytes} MB, and was ended. Ask for less at once.`,
        );
      if (isEnded || this.pool.queueSize >= MOST_WAITING)
        throw new Busy('Too many questions wait already. Ask again in a moment.');
      throw fault;
    } finally {
      clearTimeout(timer);
      this.onBegun.delete(turn);
    }
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
