/**
 * What the database says of an input that got past the contract, and of itself when it is away.
 * Codes: PostgreSQL 15, appendix A (SQLSTATE).
 */
type DatabaseSays = { code?: unknown; constraint?: unknown; message?: unknown };

/** The rules of a key are named table_column_fkey. */
const fieldOf = (constraint: unknown): string | undefined =>
  typeof constraint === 'string' ? /_([A-Za-z]+)_fkey$/.exec(constraint)?.[1] : undefined;

const AWAY_CODES = ['ECONNREFUSED', 'ECONNRESET', 'ENOENT', 'EPIPE', '57P01', '57P02', '57P03'];
const DISK_FULL = '53100';
const AWAY_WORDS = /connection terminated|connection error|not queryable|timeout exceeded/i;

const says = (fault: unknown): DatabaseSays => {
  const { driverError } = (fault ?? {}) as { driverError?: DatabaseSays };
  return driverError ?? (fault as DatabaseSays);
};

const isAway = ({ code, message }: DatabaseSays): boolean =>
  (typeof code === 'string' && (AWAY_CODES.includes(code) || code.startsWith('08'))) ||
  (typeof message === 'string' && AWAY_WORDS.test(message));

export function databaseFault(fault: unknown): { status: number; error: object } | undefined {
  if (!(fault instanceof Error)) return undefined;
  const said = says(fault);
  const code = typeof said.code === 'string' ? said.code : '';
  const bad = (why: string, message: string, path: string[] = []) => ({
    status: 422,
    error: { code: why, message, path },
  });
  if (code === '23503') {
    const field = fieldOf(said.constraint);
    return bad('not-one-of', `There is no such ${field ?? 'thing'}.`, field ? [field] : []);
  }
  if (code === '22021' || code === '22P05')
    return bad('out-of-range', 'A text holds a character that cannot be kept (NUL).');
  if (code === '22003') return bad('out-of-range', 'A number is too large to be kept.');
  if (code.startsWith('22') || code === '23502' || code === '23514')
    return bad('contradiction', 'Something in this cannot be kept as it is.');
  if (code === DISK_FULL)
    return {
      status: 507,
      error: {
        code: 'disk-full',
        message:
          'The disk of the shop’s machine is full: nothing was changed. Make room on it; it goes on by itself.',
        path: [],
      },
    };
  if (isAway(said))
    return {
      status: 503,
      error: {
        code: 'database-away',
        message:
          'The shop’s database does not answer. It is tried again by itself; what you typed stays here.',
        path: [],
      },
    };
  return undefined;
}
