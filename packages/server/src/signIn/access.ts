/** Who may do what: one list. What is not in it is work, and everybody's who is signed in. */
import type { Role } from '@orthochrom/contract/shop/signIn.ts';

type Rule = { methods: readonly string[]; path: RegExp; role: Role };
const WRITES = ['POST', 'PUT', 'DELETE'];

/** Paths as under `/api`. The first that fits rules. */
export const ACCESS: readonly Rule[] = [
  { methods: ['GET', ...WRITES], path: /^\/shop-file/, role: 'lead' },
  { methods: ['GET', ...WRITES], path: /^\/devices/, role: 'lead' },
  { methods: ['PUT'], path: /^\/shop$/, role: 'lead' },
  // One's own ways and one's own PIN are everybody's: the ledger looks whose they are.
  { methods: ['PUT'], path: /^\/painters\/[^/]+(\/pin)?$/, role: 'apprentice' },
  { methods: WRITES, path: /^\/painters/, role: 'lead' },
  {
    methods: WRITES,
    path: /^\/(rooms|cups|guns|compressors|air-lines|sheets|products)/,
    role: 'painter',
  },
];

export const roleFor = (method: string, path: string): Role =>
  ACCESS.find((rule) => rule.methods.includes(method) && rule.path.test(path))?.role ??
  'apprentice';

/** Where a painter is named for the work, and does not say it of himself. */
export const NAMES_ANOTHER = /^\/tickets(\/[^/]+)?$|^\/usages\//;
