/** The pages of Junctor. */
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { ApiError } from './api/client';
import { addStored } from './api/log';
import { startOutbox } from './api/outbox';
import { fetchAhead, router } from './routes';
import { GlobalStyle } from './ui/GlobalStyle';
import { Themed } from './ui/Themed';

/** After the first page has come to rest. */
const fetchAheadMs = 1500;

const client = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always',
      refetchOnWindowFocus: true,
      retry: (count, error) => !(error instanceof ApiError) && count < 2,
      retryDelay: 800,
    },
    mutations: { networkMode: 'always' },
  },
});

startOutbox((quadId, records, person) =>
  addStored(
    client,
    quadId,
    records.map((record) => ({ ...record, person })),
  ),
);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Themed>
      <GlobalStyle />
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </Themed>
  </StrictMode>,
);

window.addEventListener('load', () => setTimeout(fetchAhead, fetchAheadMs));
