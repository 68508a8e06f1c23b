import '@mantine/core/styles.layer.css';
import '@mantine/notifications/styles.layer.css';
import '@mantine/spotlight/styles.layer.css';
import './theme/fonts.css';
import './theme/tokens.css';
import { MantineProvider } from '@mantine/core';
import { Notifications, notifications } from '@mantine/notifications';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { I18nextProvider } from 'react-i18next';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { createQueryClient } from './api/query-client.ts';
import { markSignedOut } from './api/signed-out.ts';
import { places } from './routes/places.tsx';
import { text } from './text/i18n.ts';
import { onPutAside } from './device/device-store.ts';
import { themeWith, tokensToMantine } from './theme/theme.ts';

document.documentElement.lang = text.language;
const theme = themeWith({ close: text.t('app.close') });
const router = createBrowserRouter(places);
const queries = createQueryClient(markSignedOut);

onPutAside(() => {
  notifications.show({ message: text.t('app.putAside'), color: 'honey', autoClose: false });
});

void import('./listening/recordings.ts').then(({ dropOldRecordings }) => dropOldRecordings(new Date()));

// The shell of the application opens without the server, too; it is put by once the page has all it needs.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  window.addEventListener('load', () => void navigator.serviceWorker.register('/sw.js').catch(() => undefined));

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');
createRoot(root).render(
  <StrictMode>
    <I18nextProvider i18n={text}>
      <MantineProvider theme={theme} cssVariablesResolver={tokensToMantine} defaultColorScheme="auto">
        <Notifications position="bottom-center" autoClose={8000} />
        <QueryClientProvider client={queries}>
          <RouterProvider router={router} />
        </QueryClientProvider>
      </MantineProvider>
    </I18nextProvider>
  </StrictMode>,
);
