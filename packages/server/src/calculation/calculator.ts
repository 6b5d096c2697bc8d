/**
 * Calculations beside the thread that serves: a question that takes too long or too much is ended,
 * and nobody else waits for it.
 */
import { availableParallelism } from 'node:os';
import type { Outcome } from '@orthochrom/contract/registry.ts';
import Piscina from 'piscina';
import { Busy, TakesTooLong } from '../http/faults.ts';

export type Bounds = { mostMs: number; mostMegabytes: number };
const BOUNDS: Bounds = { mostMs: 10_000, mostMegabytes: 256 };
const MOST_WAITING = 500;
const IDLE_MS = 60_000;

export type WorkerFile = {
  /** Of the worker's script, built or not. */
  path: string;
  /** How Node runs it where it is not built. */
  execArgv?: string[];
};

export class Calculator {
  private readonly pool: Piscina;
  private readonly bounds: Bounds;

  constructor({ path, execArgv }: WorkerFile, bounds: Bounds = BOUNDS) {
    this.bounds = bounds;
    this.pool = new Piscina({
      filename: path,
      ...(execArgv ? { execArgv } : {}),
      minThreads: 0,
      maxThreads: Math.max(1, availableParallelism() - 1),
      idleTimeout: IDLE_MS,
      maxQueue: MOST_WAITING,
      resourceLimits: { maxOldGenerationSizeMb: bounds.mostMegabytes },
    });
  }

  /**
   * @throws TakesTooLong past its time or memory, Busy where too many wait already
   */
  async outcomeOf(name: string, input: unknown): Promise<Outcome> {
    const { mostMs, mostMegabytes } = this.bounds;
    try {
      return (await this.pool.run(
        { name, input },
        { signal: AbortSignal.timeout(mostMs) },
      )) as Outcome;
    } catch (fault) {
      const { name: kind = '', code = '' } = fault as { name?: string; code?: string };
      if (kind === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw new TakesTooLong(
          `This question takes over ${mostMs / 1000} s or ${mostMegabytes} MB, and was ended. Ask for less at once.`,
        );
      if (this.pool.queueSize >= MOST_WAITING)
        throw new Busy('Too many questions wait already. Ask again in a moment.');
      throw fault;
    }
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
