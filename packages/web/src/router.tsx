import type { ReactElement } from 'react';
import { createBrowserRouter } from 'react-router';
import { PAGES, type Page } from './pages.ts';
import { Broken } from './frame/Broken.tsx';
import { Shell } from './frame/Shell.tsx';
import { AirLineFormPage } from './compressedAir/AirLineFormPage.tsx';
import { AirLinePage } from './compressedAir/AirLinePage.tsx';
import { CompressorFormPage } from './compressedAir/CompressorFormPage.tsx';
import { BenchPage } from './faults/BenchPage.tsx';
import { FaultsPage } from './faults/FaultsPage.tsx';
import { CarePage } from './guns/care/CarePage.tsx';
import { GunEditPage } from './guns/GunEditPage.tsx';
import { GunPage } from './guns/GunPage.tsx';
import { GunsPage } from './guns/GunsPage.tsx';
import { TestPage } from './guns/tests/TestPage.tsx';
import { LabPage } from './lab/LabPage.tsx';
import { CoatRecordPage } from './records/CoatRecordPage.tsx';
import { RecordsPage } from './records/RecordsPage.tsx';
import { SettingsPage } from './settings/SettingsPage.tsx';
import { SheetPage } from './sheets/SheetPage.tsx';
import { SheetsPage } from './sheets/SheetsPage.tsx';
import { EditTicketPage } from './ticket/form/EditTicketPage.tsx';
import { NewTicketPage } from './ticket/form/NewTicketPage.tsx';
import { TicketPage } from './ticket/TicketPage.tsx';
import { TicketsPage } from './ticket/TicketsPage.tsx';
import { TodayPage } from './today/TodayPage.tsx';

/** A page without its element does not compile, nor an element without its page. */
const ELEMENTS: Record<Page, ReactElement> = {
  '': <TodayPage />,
  tickets: <TicketsPage />,
  'tickets/new': <NewTicketPage />,
  'tickets/:id': <TicketPage />,
  'tickets/:id/edit': <EditTicketPage />,
  records: <RecordsPage />,
  'records/:id': <CoatRecordPage />,
  sheets: <SheetsPage />,
  'sheets/:id': <SheetPage />,
  guns: <GunsPage />,
  'guns/new': <GunEditPage />,
  'guns/:id': <GunPage />,
  'guns/:id/edit': <GunEditPage />,
  'guns/:id/tests/:kind': <TestPage />,
  'guns/:id/care/:kind': <CarePage />,
  'air/new': <AirLineFormPage />,
  'air/:id': <AirLinePage />,
  'air/:id/edit': <AirLineFormPage />,
  'compressors/new': <CompressorFormPage />,
  'compressors/:id': <CompressorFormPage />,
  faults: <FaultsPage />,
  'faults/:id': <BenchPage />,
  lab: <LabPage />,
  settings: <SettingsPage />,
};

export const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <Broken />,
    children: [
      ...PAGES.map((path) =>
        path === ''
          ? { index: true as const, element: ELEMENTS[path] }
          : { path, element: ELEMENTS[path] },
      ),
      { path: '*', element: <p className="page">There is no such page.</p> },
    ],
  },
]);
