import { createBrowserRouter } from 'react-router';
import { Broken } from './frame/Broken.tsx';
import { Shell } from './frame/Shell.tsx';
import { GunPage } from './guns/GunPage.tsx';
import { GunsPage } from './guns/GunsPage.tsx';
import { CoatRecordPage } from './records/CoatRecordPage.tsx';
import { RecordsPage } from './records/RecordsPage.tsx';
import { SettingsPage } from './settings/SettingsPage.tsx';
import { SheetPage } from './sheets/SheetPage.tsx';
import { SheetsPage } from './sheets/SheetsPage.tsx';
import { EditTicketPage } from './ticket/EditTicketPage.tsx';
import { NewTicketPage } from './ticket/NewTicketPage.tsx';
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
      { path: 'guns/:id', element: <GunPage /> },
      { path: 'settings', element: <SettingsPage /> },
      { path: '*', element: <p className="page">There is no such page.</p> },
    ],
  },
]);
