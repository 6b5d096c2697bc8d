/**
 * What the screens read. What is held stays when a later read fails; the server's stream says what
 * is old.
 */
import type { AirNow, CoatAirPoint, DayAhead, FlowingNow } from '@orthochrom/contract/shop/air.ts';
import type { GunCareNow, GunStory } from '@orthochrom/contract/shop/care.ts';
import type { Finding, PlanChange } from '@orthochrom/contract/shop/finding.ts';
import type { RecordCount, RecordPage, RecordRow } from '@orthochrom/contract/shop/record.ts';
import type { Device, WhoIsHere } from '@orthochrom/contract/shop/signIn.ts';
import type { StoredTest } from '@orthochrom/contract/shop/test.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { MOST_WHOLE } from '@orthochrom/contract/shop/mostWhole.ts';
import type { SheetVersion, Ticket, TicketWhole, Timer } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import useSWR, { type SWRConfiguration } from 'swr';
import { getJson } from './client.ts';
import { ADDRESS } from './resources.ts';
import { measured } from './serverClock.ts';

export type AirState = { rooms: AirNow[]; days: DayAhead[] };
/** Every ticket that is not done, and the newest of those that are; `next` asks on behind them. */
export type TicketList = {
  next?: string;
  tickets: Ticket[];
  coats: Coat[];
  timers: Timer[];
  sheets: { id: string; name: string }[];
  serverNow: string;
};

/** Nothing is read where the address is not known yet. */
const useRead = <T>(address: string | undefined, options?: SWRConfiguration<T, Error>) =>
  useSWR<T, Error>(address ?? null, (url: string) => getJson<T>(url), options);
const useMeasuredRead = <T extends { serverNow: string }>(address: string | undefined) =>
  useSWR<T, Error>(address ?? null, (url: string) => getJson<T>(url).then(measured));

export const useSetup = () => useRead<ShopSetup>(ADDRESS.setup);
export const useWho = () => useRead<WhoIsHere>(ADDRESS.signIn);
export const useDevices = () => useRead<Device[]>(ADDRESS.devices);
export const useSheets = () => useRead<SheetVersion[]>(ADDRESS.sheets);
/** Issues by their own ids, newest or not. */
export const useSheetsKept = (ids: readonly string[]) =>
  useRead<SheetVersion[]>(ids.length > 0 ? ADDRESS.sheetsKept(ids) : undefined);
/** Every issue of one product's sheet, the newest first. */
export const useSheetIssues = (productId: string | undefined) =>
  useRead<SheetVersion[]>(productId && ADDRESS.sheetIssues(productId));
export const useTests = () => useRead<StoredTest[]>(ADDRESS.tests);
export const useCare = () => useRead<GunCareNow[]>(ADDRESS.care);
export const useGunStory = (gunId: string) => useRead<GunStory>(ADDRESS.gun(gunId, 'story'));
export const useAir = () => useRead<AirState>(ADDRESS.air);
export const useTickets = () => useMeasuredRead<TicketList>(ADDRESS.tickets);
export const useTicket = (id: string | undefined) =>
  useMeasuredRead<TicketWhole>(id && ADDRESS.ticket(id));
/** In few questions: a tablet asks six at a time, and each of them has its own way to go. */
export async function wholesOf(ids: readonly string[]): Promise<TicketWhole[]> {
  const all: TicketWhole[] = [];
  for (let i = 0; i < ids.length; i += MOST_WHOLE)
    all.push(...(await getJson<TicketWhole[]>(ADDRESS.ticketsWhole(ids.slice(i, i + MOST_WHOLE)))));
  return all;
}
/** Several tickets at once; what makes a ticket old makes them old. */
export const useWholes = (ids: readonly string[] | undefined) =>
  useSWR<TicketWhole[], Error>(ids ? ADDRESS.ticketsWhole(ids) : null, () => wholesOf(ids ?? []));
export const useCoatAir = (coatId: string | undefined) =>
  useRead<CoatAirPoint[]>(coatId && ADDRESS.coat(coatId, 'air'));
export const useFlowing = (coatId: string, options: SWRConfiguration<FlowingNow, Error>) =>
  useRead<FlowingNow>(ADDRESS.coat(coatId, 'flowing'), options);
/** The newest page; the rows of the last question stay until those of the next are there. */
export const useRecords = (query: Record<string, string>) =>
  useRead<RecordPage>(ADDRESS.records(query), { keepPreviousData: true });
export const useRecordCount = (query: Record<string, string>) =>
  useRead<RecordCount>(ADDRESS.recordCount(query), { keepPreviousData: true });
export const useRecord = (coatId: string) => useRead<RecordRow>(ADDRESS.record(coatId));
export const useFindings = () => useRead<Finding[]>(ADDRESS.findings);
export const useFindingsOfCoat = (coatId: string) =>
  useRead<Finding[]>(ADDRESS.findingsOfCoat(coatId));
export const useFindingKept = (
  id: string | undefined,
  options?: SWRConfiguration<Finding, Error>,
) => useRead<Finding>(id && ADDRESS.finding(id), options);
export const usePlanChanges = () => useRead<PlanChange[]>(ADDRESS.planChanges);
export const useChangesOfCoat = (coatId: string) =>
  useRead<PlanChange[]>(ADDRESS.coat(coatId, 'changes'));
