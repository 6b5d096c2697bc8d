/** The registry's open door in a thread of its own: it may be ended without harm to anyone. */
import { answerOrRefuse, type Outcome } from '@orthochrom/contract/registry.ts';

export default ({ name, input }: { name: string; input: unknown }): Outcome =>
  answerOrRefuse(name, input);
