/** The pool of workers: everybody is answered once, by few workers, with their newest question. */
import { describe, expect, it } from 'vitest';
import type { HeavyAsk, HeavyReply } from '../src/heavy/heavyWorker.ts';
import { WorkerPool, type PoolWorker, type Question } from '../src/heavy/workerPool.ts';

/** Workers that answer when they are told to, with the input they were given. */
function poolOf(size: number) {
  const opened: { asked: HeavyAsk[]; answer: () => void; fail: () => void }[] = [];
  const pool = new WorkerPool(size, () => {
    let heard: ((event: { data: HeavyReply }) => void) | undefined;
    let failed: ((event: { message: string }) => void) | undefined;
    const asked: HeavyAsk[] = [];
    const worker: PoolWorker = {
      postMessage: (ask) => void asked.push(ask),
      addEventListener: (type: string, listener: never) => {
        if (type === 'message') heard = listener;
        else failed = listener;
      },
    };
    const answer = () => {
      const ask = asked.at(-1)!;
      heard!({ data: { id: ask.id, outcome: { answer: (ask as { input?: unknown }).input } } });
    };
    opened.push({ asked, answer, fail: () => failed!({ message: 'out of memory' }) });
    return worker;
  });
  return { pool, opened };
}
const about = (input: string): Question => ({ kind: 'calculation', name: 'coat', input });
const said: string[] = [];
const tell = (outcome: object) => said.push(JSON.stringify(outcome));

describe('a pool of workers', () => {
  it('opens no more than it may, and none before it is needed', () => {
    const { pool, opened } = poolOf(2);
    expect(opened).toHaveLength(0);
    for (const name of ['a', 'b', 'c', 'd']) pool.ask({}, about(name), tell);
    expect(opened).toHaveLength(2);
  });

  it('answers everybody, in the order they came', () => {
    const { pool, opened } = poolOf(1);
    said.length = 0;
    for (const name of ['a', 'b', 'c']) pool.ask({}, about(name), tell);
    for (let i = 0; i < 3; i++) opened[0]!.answer();
    expect(said).toEqual(['{"answer":"a"}', '{"answer":"b"}', '{"answer":"c"}']);
  });

  it('drops what waits for a newer question of the same card, never one of another', () => {
    const { pool, opened } = poolOf(1);
    const [card, other] = [{}, {}];
    said.length = 0;
    pool.ask({}, about('runs'), tell);
    pool.ask(card, about('old'), tell);
    pool.ask(other, about('other'), tell);
    pool.ask(card, about('new'), tell);
    for (let i = 0; i < 3; i++) opened[0]!.answer();
    expect(said).toEqual(['{"answer":"runs"}', '{"answer":"new"}', '{"answer":"other"}']);
  });

  it('asks nothing for a card that is gone', () => {
    const { pool, opened } = poolOf(1);
    const card = {};
    pool.ask({}, about('runs'), tell);
    pool.ask(card, about('gone'), tell);
    pool.forget(card);
    opened[0]!.answer();
    expect(opened[0]!.asked).toHaveLength(1);
  });

  it('tells the one who asked when a worker fails, and goes on with the next', () => {
    const { pool, opened } = poolOf(1);
    said.length = 0;
    pool.ask({}, about('a'), tell);
    pool.ask({}, about('b'), tell);
    opened[0]!.fail();
    opened[0]!.answer();
    expect(said).toEqual(['{"error":{"message":"out of memory"}}', '{"answer":"b"}']);
  });

  it('is warm once, however many screens want it', () => {
    const { pool, opened } = poolOf(2);
    pool.warmUp();
    pool.warmUp();
    expect(opened).toHaveLength(1);
    pool.ask({}, about('a'), tell);
    expect(opened).toHaveLength(1);
  });
});
