/**
 * Every address of the server, what is read from under it, and what an event of the stream makes
 * old. A screen names a resource; nobody else writes an address.
 */
import { mutate } from 'swr';

const under = (collection: string) => (id: string, part?: string) =>
  `/api/${collection}/${id}${part ? `/${part}` : ''}`;
const asked = (address: string, query: Record<string, string>) =>
  `${address}?${new URLSearchParams(query).toString()}`;

export const ADDRESS = {
  health: '/api/health',
  stream: '/api/stream',
  setup: '/api/setup',
  signIn: '/api/sign-in',
  trustDevice: '/api/sign-in/trust',
  beginSignIn: '/api/sign-in/begin',
  signOut: '/api/sign-in/out',
  leadTouch: '/api/sign-in/touch',
  endSessions: '/api/sessions/end-all',
  devices: '/api/devices',
  device: under('devices'),
  wholeShop: '/api/shop-file',
  wholeShopIn: (id: string) => asked('/api/shop-file', { id }),
  wholeShopTake: (id: string) => `/api/shop-file/${id}/take`,
  wholeShopLaid: (id: string) => `/api/shop-file/${id}`,
  sheets: '/api/sheets',
  sheetsKept: (ids: readonly string[]) => asked('/api/sheets/kept', { ids: ids.join() }),
  sheetsExport: '/api/sheets/export',
  sheetsCsv: '/api/sheets/table',
  sheetIssues: (productId: string) => `/api/sheets/${encodeURIComponent(productId)}/issues`,
  shop: '/api/shop',
  prices: (productId: string) => `/api/products/${encodeURIComponent(productId)}/prices`,
  cardPhoto: (cardId: string, query?: { painterId: string }) =>
    query ? asked(`/api/spray-cards/${cardId}/photo`, query) : `/api/spray-cards/${cardId}/photo`,
  cardThumb: (cardId: string) => `/api/spray-cards/${cardId}/thumb`,
  sheetsImport: '/api/sheets/import',
  tests: '/api/tests',
  care: '/api/care',
  air: '/api/air',
  readings: '/api/readings',
  probe: '/api/probe',
  tickets: '/api/tickets',
  ticket: under('tickets'),
  ticketsWhole: (ids: readonly string[]) => asked('/api/tickets/whole', { ids: ids.join() }),
  coat: under('coats'),
  mix: under('mixes'),
  timer: under('timers'),
  ticketsAfter: (after: string) => asked('/api/tickets', { after }),
  records: (query: Record<string, string>) => asked('/api/records', query),
  recordCount: (query: Record<string, string>) => asked('/api/records/count', query),
  recordsCsv: (query: Record<string, string>) => asked('/api/records.csv', query),
  record: under('records'),
  guns: '/api/guns',
  gun: under('guns'),
  compressors: '/api/compressors',
  compressor: under('compressors'),
  airLines: '/api/air-lines',
  airLine: under('air-lines'),
  rooms: '/api/rooms',
  room: under('rooms'),
  painters: '/api/painters',
  usage: under('usages'),
  painter: under('painters'),
  cups: '/api/cups',
  cup: under('cups'),
  findings: '/api/findings',
  finding: under('findings'),
  findingsOfCoat: (coatId: string) => asked('/api/findings', { coatId }),
  findingsFile: (painterId: string) => asked('/api/findings-file', { painterId }),
  newPhoto: (findingId: string, query: { id: string; painterId: string }) =>
    asked(`/api/findings/${findingId}/photos`, query),
  photo: under('photos'),
  planChanges: '/api/plan-changes',
  planChange: under('plan-changes'),
} as const;

/** What is kept of the server's on a screen, each under the beginning of its addresses. */
const RESOURCES = {
  setup: ADDRESS.setup,
  signIn: ADDRESS.signIn,
  devices: ADDRESS.devices,
  sheets: ADDRESS.sheets,
  tests: ADDRESS.tests,
  care: ADDRESS.care,
  air: ADDRESS.air,
  tickets: ADDRESS.tickets,
  records: '/api/records',
  guns: ADDRESS.guns,
  coats: '/api/coats',
  findings: ADDRESS.findings,
  planChanges: ADDRESS.planChanges,
} as const;
export type Resource = keyof typeof RESOURCES;
export const ALL_RESOURCES = Object.keys(RESOURCES) as Resource[];

/** What the server says was written, by the kind of thing, and what that makes old. */
const GUN_THINGS: Resource[] = ['care', 'guns', 'tests'];
const REFRESHED_BY: Record<string, Resource[]> = {
  shop: ['setup'],
  painter: ['setup', 'signIn'],
  signIn: ['signIn', 'devices'],
  standIn: ['air'],
  room: ['setup'],
  cup: ['setup'],
  compressor: ['setup'],
  airLine: ['setup'],
  gun: ['setup', ...GUN_THINGS],
  test: ['setup', ...GUN_THINGS],
  care: GUN_THINGS,
  sheet: ['sheets'],
  reading: ['air'],
  ticket: ['tickets', 'records', ...GUN_THINGS],
  finding: ['findings', 'records', 'planChanges', 'coats'],
};
/** A kind of thing nobody here has heard of may change anything. */
export const refreshedBy = (type: string): Resource[] => REFRESHED_BY[type] ?? ALL_RESOURCES;

const isOf = (resources: readonly Resource[]) => (key: unknown) =>
  typeof key === 'string' &&
  resources.some((resource) => {
    const rest = key.startsWith(RESOURCES[resource]) && key[RESOURCES[resource].length];
    return rest === undefined || rest === '/' || rest === '?';
  });

/** Reads them anew wherever they are on the screen; what is held stays until then. */
export const refresh = (...resources: Resource[]): Promise<unknown> => mutate(isOf(resources));
/** What a write answered with is held at once, without asking again. */
export const hold = <T>(address: string, value: T): Promise<unknown> =>
  mutate<T>(address, value, { revalidate: false });
export const refreshAll = (): Promise<unknown> => refresh(...ALL_RESOURCES);
