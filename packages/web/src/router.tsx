import { createBrowserRouter } from 'react-router';
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

export const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <Broken />,
    children: [
      { index: true, element: <TodayPage /> },
      { path: 'tickets', element: <TicketsPage /> },
      { path: 'tickets/new', element: <NewTicketPage /> },
      { path: 'tickets/:id', element: <TicketPage /> },
      { path: 'tickets/:id/edit', element: <EditTicketPage /> },
      { path: 'records', element: <RecordsPage /> },
      { path: 'records/:id', element: <CoatRecordPage /> },
      { path: 'sheets', element: <SheetsPage /> },
      { path: 'sheets/:id', element: <SheetPage /> },
      { path: 'guns', element: <GunsPage /> },
      { path: 'guns/new', element: <GunEditPage /> },
      { path: 'guns/:id', element: <GunPage /> },
      { path: 'guns/:id/edit', element: <GunEditPage /> },
      { path: 'guns/:id/tests/:kind', element: <TestPage /> },
      { path: 'guns/:id/care/:kind', element: <CarePage /> },
      { path: 'air/new', element: <AirLineFormPage /> },
      { path: 'air/:id', element: <AirLinePage /> },
      { path: 'air/:id/edit', element: <AirLineFormPage /> },
      { path: 'compressors/new', element: <CompressorFormPage /> },
      { path: 'compressors/:id', element: <CompressorFormPage /> },
      { path: 'faults', element: <FaultsPage /> },
      { path: 'faults/:id', element: <BenchPage /> },
      { path: 'lab', element: <LabPage /> },
      { path: 'settings', element: <SettingsPage /> },
      { path: '*', element: <p className="page">There is no such page.</p> },
    ],
  },
]);
