/**
 * A few workers that stay, asked by many: each asker has at most one question waiting, and its
 * newest one takes the place of the one before. Askers are served in the order they came.
 */
import type { HeavyAsk, HeavyReply } from './heavyWorker.ts';

export type Outcome = HeavyReply['outcome'];
type WithoutId<T> = T extends unknown ? Omit<T, 'id'> : never;
export type Question = WithoutId<HeavyAsk>;
type Told = (outcome: Outcome) => void;

/** What the pool needs of a worker; a browser's Worker is one. */
export type PoolWorker = {
  postMessage: (ask: HeavyAsk) => void;
  addEventListener(type: 'message', heard: (event: { data: HeavyReply }) => void): void;
  addEventListener(type: 'error', heard: (event: { message: string }) => void): void;
};

type Seat = { worker: PoolWorker; told: Told | undefined };

export class WorkerPool {
  private readonly seats: Seat[] = [];
  /** By asker, in the order they came. */
  private readonly waiting = new Map<object, { question: Question; told: Told }>();
  private next = 1;
  private readonly size: number;
  private readonly open: () => PoolWorker;

  constructor(size: number, open: () => PoolWorker) {
    this.size = size;
    this.open = open;
  }

  /** Opens a worker before anything is asked, so that the first answer does not wait for it. */
  warmUp(): void {
    if (this.seats.length === 0) this.addSeat();
  }

  ask(asker: object, question: Question, told: Told): void {
    this.waiting.set(asker, { question, told });
    this.serve();
  }

  /** Whoever leaves is told nothing any more; a question that runs already runs to its end. */
  forget(asker: object): void {
    this.waiting.delete(asker);
  }

  private serve(): void {
    for (const [asker, { question, told }] of this.waiting) {
      const seat =
        this.seats.find((one) => !one.told) ??
        (this.seats.length < this.size ? this.addSeat() : undefined);
      if (!seat) return;
      this.waiting.delete(asker);
      seat.told = told;
      seat.worker.postMessage({ id: this.next++, ...question } as HeavyAsk);
    }
  }

  private addSeat(): Seat {
    const seat: Seat = { worker: this.open(), told: undefined };
    const answered = (outcome: Outcome) => {
      const { told } = seat;
      seat.told = undefined;
      told?.(outcome);
      this.serve();
    };
    seat.worker.addEventListener('message', ({ data }) => answered(data.outcome));
    seat.worker.addEventListener('error', ({ message }) => answered({ error: { message } }));
    this.seats.push(seat);
    return seat;
  }
}
