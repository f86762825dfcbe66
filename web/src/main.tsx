/** The pages of Junctor. */
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, Suspense, lazy } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Route, Routes } from 'react-router';
import { ThemeProvider } from 'styled-components';
import { ApiError } from './api/client';
import { addStored } from './api/log';
import { startOutbox } from './api/outbox';
import { useSession } from './api/session';
import { FloorPage } from './features/floor/FloorPage';
import { SignInPage } from './features/signIn/SignInPage';
import { GlobalStyle } from './ui/GlobalStyle';
import { Notice } from './ui/Notice';
import { theme } from './ui/theme';

const JobPage = lazy(() => import('./features/job/JobPage').then(({ JobPage: page }) => ({ default: page })));
const NewJobPage = lazy(() =>
  import('./features/intake/NewJobPage').then(({ NewJobPage: page }) => ({ default: page })),
);
const QuadBookPage = lazy(() =>
  import('./features/book/QuadBookPage').then(({ QuadBookPage: page }) => ({ default: page })),
);
const QuadsPage = lazy(() => import('./features/book/QuadsPage').then(({ QuadsPage: page }) => ({ default: page })));
const IntakePage = lazy(() =>
  import('./features/intake/IntakePage').then(({ IntakePage: page }) => ({ default: page })),
);
const WiresPage = lazy(() => import('./features/wiring/WiresPage').then(({ WiresPage: page }) => ({ default: page })));
const SetupPage = lazy(() => import('./features/wiring/SetupPage').then(({ SetupPage: page }) => ({ default: page })));
const StoresPage = lazy(() =>
  import('./features/stores/StoresPage').then(({ StoresPage: page }) => ({ default: page })),
);
const ModelPage = lazy(() => import('./features/stores/ModelPage').then(({ ModelPage: page }) => ({ default: page })));
const NewBoardPage = lazy(() =>
  import('./features/newBoard/NewBoardPage').then(({ NewBoardPage: page }) => ({ default: page })),
);
const CatalogueFilesPage = lazy(() =>
  import('./features/stores/CatalogueFilesPage').then(({ CatalogueFilesPage: page }) => ({ default: page })),
);
const PartsPage = lazy(() => import('./features/stores/PartsPage').then(({ PartsPage: page }) => ({ default: page })));
const PartPage = lazy(() => import('./features/stores/PartPage').then(({ PartPage: page }) => ({ default: page })));
const StockPage = lazy(() => import('./features/stores/StockPage').then(({ StockPage: page }) => ({ default: page })));
const PeoplePage = lazy(() =>
  import('./features/people/PeoplePage').then(({ PeoplePage: page }) => ({ default: page })),
);

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

function Pages() {
  const session = useSession();
  if (session.isPending) return null;
  if (session.error && !session.data)
    return (
      <Notice title="The server does not answer">It is tried again. What this tablet has recorded is kept here.</Notice>
    );
  if (!session.data) return <SignInPage />;
  return (
    <Suspense fallback={null}>
      <Routes>
        <Route path="/" element={<FloorPage />} />
        <Route path="/jobs/:jobId" element={<JobPage />} />
        <Route path="/new" element={<NewJobPage />} />
        <Route path="/quads" element={<QuadsPage />} />
        <Route path="/quads/:quadId" element={<QuadBookPage />} />
        <Route path="/jobs/:jobId/wiring" element={<JobPage />} />
        <Route path="/jobs/:jobId/wires" element={<WiresPage />} />
        <Route path="/jobs/:jobId/setup" element={<SetupPage />} />
        <Route path="/jobs/:jobId/intake" element={<IntakePage />} />
        <Route path="/stores" element={<StoresPage />} />
        <Route path="/stores/models/:modelId" element={<ModelPage />} />
        <Route path="/stores/new-board" element={<NewBoardPage />} />
        <Route path="/stores/files" element={<CatalogueFilesPage />} />
        <Route path="/stores/parts" element={<PartsPage />} />
        <Route path="/stores/parts/:partId" element={<PartPage />} />
        <Route path="/stores/stock" element={<StockPage />} />
        <Route path="/people" element={<PeoplePage />} />
        <Route path="*" element={<Notice title="There is no such place">The Floor is at the top left.</Notice>} />
      </Routes>
    </Suspense>
  );
}

startOutbox((quadId, records) => addStored(client, quadId, records));
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <ThemeProvider theme={theme}>
      <GlobalStyle />
      <QueryClientProvider client={client}>
        <BrowserRouter>
          <Pages />
        </BrowserRouter>
      </QueryClientProvider>
    </ThemeProvider>
  </StrictMode>,
);
