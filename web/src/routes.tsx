/** Every place that can be looked at, by its address. Only this file joins the features. */
import type { ComponentType } from 'react';
import type { RouteObject } from 'react-router';
import { Navigate, createBrowserRouter } from 'react-router';
import { places } from './addresses';
import { FloorPage } from './features/floor/FloorPage';
import { Shop } from './features/signIn/Shop';
import { chunk } from './ui/chunk';
import { Notice } from './ui/Notice';
import { RouteFailed } from './ui/RouteFailed';

const bench = chunk(() => import('./features/bench'));
const wiring = chunk(() => import('./features/wiring'));
/** Inside a job every key finds its screen there: all of them come before the first. */
const job = chunk(async () => {
  const { JobPages } = await import('./bench/provider/JobPages');
  await Promise.all([bench.load(), wiring.load()]);
  return { JobPages };
});
const intake = chunk(() => import('./features/intake'));
const book = chunk(() => import('./features/book'));
const stores = chunk(() => import('./features/stores'));
const newBoard = chunk(() => import('./features/newBoard'));
const newFrame = chunk(() => import('./features/newFrame'));
const tools = chunk(() => import('./features/tools'));
const people = chunk(() => import('./features/people'));
const kept = chunk(() => import('./features/kept/KeptPage'));

/** Fetches everything while nobody waits for it, so that it is there without a network as well. */
export function fetchAhead(): void {
  const all = [job, bench, wiring, kept, book, intake, stores, tools, newBoard, people];
  for (const part of all) part.load().catch(() => undefined);
}

/** What fails in a page stays in it. */
const at = (path: string, Component: ComponentType): RouteObject => ({ path, Component, ErrorBoundary: RouteFailed });

const inJob: RouteObject[] = [
  { index: true, Component: bench.page('Now'), ErrorBoundary: RouteFailed },
  at('step/:stepId', bench.page('Looking')),
  at('why', bench.page('Why')),
  at('other-pad/:joint/:pad', bench.page('OtherPad')),
  at('problem', bench.page('Problem')),
  at('problem/:defect', bench.page('WhatToDo')),
  at('fault', bench.page('Fault')),
  at('take-back', bench.page('TakeBack')),
  at('came-in', bench.page('CameIn')),
  at('find', bench.page('FindIt')),
  at('find/read', bench.page('ReadAnywhere')),
  at('find/isolate', bench.page('Isolate')),
  at('find/seen', bench.page('Seen')),
  at('find/powered', bench.page('Powered')),
  at('replace/:slot?', bench.page('ReplacePart')),
  at('hand-on/:record', bench.page('HandOn')),
  at('open-point', bench.page('OpenPointPage')),
  at('sheet', bench.page('SheetPage')),
  at('touches', bench.page('TouchesPage')),
  at('layout', bench.page('LayoutPage')),
  at('layout/measure/:margin', bench.page('MeasurePage')),
  at('layout/picture', bench.page('LayoutPicturePage')),
  at('layout/let-in', bench.page('LetInPage')),
  at('cuts', bench.page('CutsPage')),
  at('length/:wire', bench.page('LengthPage')),
  at('wiring/:at?', wiring.page('WiringPage')),
  at('wire/:wireId', wiring.page('WireBodyPage')),
  at('boards/:slot?', wiring.page('WholeBoardPage')),
  at('finding/:finding', wiring.page('WaivePage')),
  at('compose', wiring.page('ComposePage')),
  at('planner', wiring.page('PlannerPage')),
  at('supplies', wiring.page('SuppliesPage')),
  at('motors', wiring.page('MotorsPage')),
  at('wires', wiring.page('WiresPage')),
  at('set-up', wiring.page('SetUpPage')),
  at('keep-template', intake.page('KeepTemplate')),
  at('intake', intake.page('IntakePage')),
  at('*', bench.page('NoSuchPlace')),
];

const inShop: RouteObject[] = [
  { index: true, element: <Navigate to={places.floor} replace /> },
  at('floor', FloorPage),
  at('new', intake.page('FindCustomer')),
  at('new/customer', intake.page('NewCustomer')),
  at('new/:customerId', intake.page('FindQuad')),
  at('new/:customerId/quad', intake.page('NewQuad')),
  at('new/:customerId/:quadId', intake.page('JobForm')),
  { path: 'jobs/:jobId', Component: job.page('JobPages'), ErrorBoundary: RouteFailed, children: inJob },
  at('quads', book.page('QuadsPage')),
  at('quads/:quadId/book', book.page('QuadBookPage')),
  at('stores', stores.page('StoresPage')),
  at('stores/models/:modelId', stores.page('ModelPage')),
  at('stores/new-board/:part?', newBoard.page('NewBoardPage')),
  at('stores/new-frame/:part?', newFrame.page('NewFramePage')),
  at('stores/files', stores.page('CatalogueFilesPage')),
  at('stores/parts', stores.page('PartsPage')),
  at('stores/parts/:partId', stores.page('PartPage')),
  at('stores/stock', stores.page('StockPage')),
  at('stores/templates', stores.page('TemplatesPage')),
  at('stores/meters', tools.page('MetersPage')),
  at('weight-classes', intake.page('WeightClassesPage')),
  at('people', people.page('PeoplePage')),
  at('people/:personId/password', people.page('PasswordPage')),
  at('kept', kept.page('KeptPage')),
  {
    path: '*',
    element: (
      <Notice title="There is no such place" end>
        The address leads nowhere. The Floor is at the top left.
      </Notice>
    ),
  },
];

export const router = createBrowserRouter([
  {
    path: '/',
    Component: Shop,
    ErrorBoundary: RouteFailed,
    children: inShop,
  },
]);
