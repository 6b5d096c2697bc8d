/**
 * A question that is asked over and over is planned once on each connection (PostgreSQL 15,
 * PREPARE): of one over twenty tables, planning takes longer than answering.
 */
import { createHash } from 'node:crypto';
import type { EntityManager } from 'typeorm';

type Client = {
  query: (of: { name: string; text: string; values: unknown[] }) => Promise<{ rows: unknown[] }>;
};

const names = new Map<string, string>();
/** There are as many as the code has: a text with values in it does not belong here. */
function nameOf(text: string): string {
  const known = names.get(text);
  if (known) return known;
  const name = createHash('sha256').update(text).digest('hex').slice(0, 40);
  names.set(text, name);
  return name;
}

/** Within the manager's own transaction, where it has one. */
export async function prepared<Row>(
  manager: EntityManager,
  text: string,
  values: readonly unknown[],
): Promise<Row[]> {
  const runner = manager.queryRunner ?? manager.connection.createQueryRunner();
  try {
    const client = (await runner.connect()) as Client;
    const { rows } = await client.query({ name: nameOf(text), text, values: [...values] });
    return rows as Row[];
  } finally {
    if (runner !== manager.queryRunner) await runner.release();
  }
}
