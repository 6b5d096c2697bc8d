import './noStrings.ts';
import './fonts.ts';
import '@mantine/core/styles.css';
import './theme.css';
import { MantineProvider } from '@mantine/core';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { SWRConfig } from 'swr';
import { openKeptReads } from './api/keptReads.ts';
import { late } from './frame/late.tsx';
import { router } from './router.tsx';
import { theme } from './theme.ts';

const Notices = late(async () => (await import('./frame/Notices.tsx')).Notices);

/** What was read before stands there before anything is drawn. */
await openKeptReads(SWRConfig.defaultValue.cache);
if ('serviceWorker' in navigator && import.meta.env.PROD)
  void navigator.serviceWorker.register('/sw.js').catch(() => undefined);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <MantineProvider theme={theme} defaultColorScheme="light">
      <Notices />
      <RouterProvider router={router} />
    </MantineProvider>
  </StrictMode>,
);
