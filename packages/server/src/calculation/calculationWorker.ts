/** The registry's open door in a thread of its own: it may be ended without harm to anyone. */
import { parentPort } from 'node:worker_threads';
import type { Outcome } from '@orthochrom/contract/calculations/outcome.ts';
import { answerOrRefuse } from '@orthochrom/contract/registry.ts';

export type Question = { turn: number; name: string; input: unknown };

export default ({ turn, name, input }: Question): Outcome => {
  // Its time runs from here.
  parentPort?.postMessage({ begun: turn });
  return answerOrRefuse(name, input);
};
