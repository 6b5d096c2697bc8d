/** Every part in every state, for whoever changes one: `npm run dev`, then /parts.html. */
import '../fonts.ts';
import '@mantine/core/styles.css';
import '../theme.css';
import { MantineProvider } from '@mantine/core';
import { createRoot } from 'react-dom/client';
import { theme } from '../theme.ts';
import { PartsPage } from './PartsPage.tsx';

/** `?booth` shows them as in the booth. */
const isBooth = new URLSearchParams(location.search).has('booth');
if (isBooth) document.documentElement.dataset['booth'] = 'on';

createRoot(document.getElementById('root')!).render(
  <MantineProvider theme={theme} forceColorScheme={isBooth ? 'dark' : 'light'}>
    <PartsPage />
  </MantineProvider>,
);
