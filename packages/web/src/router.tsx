import type { ComponentType } from 'react';
import { createBrowserRouter, type RouteObject } from 'react-router';
import { PAGES, type Page } from './pages.ts';
import { Broken } from './frame/Broken.tsx';
import { Shell } from './frame/Shell.tsx';

/**
 * Each page comes with its first visit. A page without its component does not compile, nor a
 * component without its page.
 */
const COMPONENTS: Record<Page, () => Promise<ComponentType>> = {
  '': async () => (await import('./today/TodayPage.tsx')).TodayPage,
  day: async () => (await import('./day/DayPage.tsx')).DayPage,
  tickets: async () => (await import('./ticket/TicketsPage.tsx')).TicketsPage,
  'tickets/new': async () => (await import('./ticket/form/NewTicketPage.tsx')).NewTicketPage,
  'tickets/:id': async () => (await import('./ticket/TicketPage.tsx')).TicketPage,
  'tickets/:id/edit': async () => (await import('./ticket/form/EditTicketPage.tsx')).EditTicketPage,
  'tickets/:id/to-get': async () => (await import('./ticket/toGet/ToGetPage.tsx')).ToGetPage,
  records: async () => (await import('./records/RecordsPage.tsx')).RecordsPage,
  'records/:id': async () => (await import('./records/CoatRecordPage.tsx')).CoatRecordPage,
  sheets: async () => (await import('./sheets/SheetsPage.tsx')).SheetsPage,
  'sheets/new': async () => (await import('./sheets/form/SheetFormPage.tsx')).SheetFormPage,
  'sheets/:id/edit': async () => (await import('./sheets/form/SheetFormPage.tsx')).SheetFormPage,
  'sheets/:id': async () => (await import('./sheets/SheetPage.tsx')).SheetPage,
  guns: async () => (await import('./guns/GunsPage.tsx')).GunsPage,
  'guns/new': async () => (await import('./guns/GunEditPage.tsx')).GunEditPage,
  'guns/:id': async () => (await import('./guns/GunPage.tsx')).GunPage,
  'guns/:id/edit': async () => (await import('./guns/GunEditPage.tsx')).GunEditPage,
  'guns/:id/tests/:kind': async () => (await import('./guns/tests/TestPage.tsx')).TestPage,
  'guns/:id/care/:kind': async () => (await import('./guns/care/CarePage.tsx')).CarePage,
  'air/new': async () => (await import('./compressedAir/AirLineFormPage.tsx')).AirLineFormPage,
  'air/:id': async () => (await import('./compressedAir/AirLinePage.tsx')).AirLinePage,
  'air/:id/edit': async () => (await import('./compressedAir/AirLineFormPage.tsx')).AirLineFormPage,
  'compressors/new': async () =>
    (await import('./compressedAir/CompressorFormPage.tsx')).CompressorFormPage,
  'compressors/:id': async () =>
    (await import('./compressedAir/CompressorFormPage.tsx')).CompressorFormPage,
  faults: async () => (await import('./faults/FaultsPage.tsx')).FaultsPage,
  'faults/:id': async () => (await import('./faults/BenchPage.tsx')).BenchPage,
  lab: async () => (await import('./lab/LabPage.tsx')).LabPage,
  settings: async () => (await import('./settings/SettingsPage.tsx')).SettingsPage,
};

/** A page that fails leaves the rail standing, and the way to every other. */
const pageOf = (page: Page): RouteObject => ({
  ...(page === '' ? { index: true } : { path: page }),
  lazy: async () => ({ Component: await COMPONENTS[page]() }),
  hydrateFallbackElement: <p className="page">Opening the page …</p>,
  errorElement: <Broken />,
});

export const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <Broken />,
    children: [
      ...PAGES.map(pageOf),
      { path: '*', element: <p className="page">There is no such page.</p> },
    ],
  },
]);
