import { createBrowserRouter, Navigate } from 'react-router';
import { Frame } from './shell/Frame.tsx';

/** Each destination is loaded when it is first opened. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <Frame />,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../screens/bench/tonight/Tonight.tsx')).Tonight }) },
      { path: 'bench', lazy: async () => ({ Component: (await import('../screens/bench/Bench.tsx')).Bench }) },
      { path: 'pieces', lazy: async () => ({ Component: (await import('../screens/pieces/Pieces.tsx')).Pieces }) },
      { path: 'pieces/new', lazy: async () => ({ Component: (await import('../screens/pieces/QuickAdd.tsx')).QuickAdd }) },
      { path: 'pieces/:pieceId', element: <Navigate to="coats" replace relative="path" /> },
      { path: 'pieces/:pieceId/:section', lazy: async () => ({ Component: (await import('../screens/job-sheet/JobSheet.tsx')).JobSheet }) },
      {
        path: 'pieces/:pieceId/print/:what',
        lazy: async () => ({ Component: (await import('../screens/print/PrintPage.tsx')).PrintPage }),
      },
      { path: 'board', lazy: async () => ({ Component: (await import('../screens/drying-board/DryingBoard.tsx')).DryingBoard }) },
      { path: 'shelf', lazy: async () => ({ Component: (await import('../screens/shelf/Shelf.tsx')).Shelf }) },
      { path: 'shelf/sheets/:sheetId', lazy: async () => ({ Component: (await import('../screens/shelf/SheetPage.tsx')).SheetPage }) },
      { path: 'buying', lazy: async () => ({ Component: (await import('../screens/buying/Buying.tsx')).Buying }) },
      {
        path: 'buying/shops',
        lazy: async () => ({ Component: (await import('../screens/buying/prices/ShopsAndPrices.tsx')).ShopsAndPrices }),
      },
      { path: 'colour', lazy: async () => ({ Component: (await import('../screens/colour/Colours.tsx')).Colours }) },
      { path: 'colour/paints/:productId', lazy: async () => ({ Component: (await import('../screens/colour/PaintPage.tsx')).PaintPage }) },
      { path: 'colour/labels', lazy: async () => ({ Component: (await import('../screens/print/JarLabels.tsx')).JarLabels }) },
      { path: 'log', lazy: async () => ({ Component: (await import('../screens/log/Log.tsx')).Log }) },
      { path: 'workshop', lazy: async () => ({ Component: (await import('../screens/workshop/WorkshopPage.tsx')).WorkshopPage }) },
      { path: '*', lazy: async () => ({ Component: (await import('./shell/Lost.tsx')).Lost }) },
    ],
  },
]);
