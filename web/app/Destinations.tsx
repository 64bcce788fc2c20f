import { type ComponentType, lazy } from 'react';
import { BrowserRouter, matchPath, Navigate, Route, Routes } from 'react-router';
import { Frame } from './shell/Frame.tsx';

/** Each destination by its address, loaded when it is first opened; until it is there the page before it stays. */
const PAGES: readonly (readonly [path: string, load: () => Promise<ComponentType>])[] = [
  ['', async () => (await import('../screens/bench/tonight/Tonight.tsx')).Tonight],
  ['bench', async () => (await import('../screens/bench/Bench.tsx')).Bench],
  ['pieces', async () => (await import('../screens/pieces/Pieces.tsx')).Pieces],
  ['pieces/new', async () => (await import('../screens/pieces/QuickAdd.tsx')).QuickAdd],
  ['pieces/:pieceId/:section', async () => (await import('../screens/job-sheet/JobSheet.tsx')).JobSheet],
  ['pieces/:pieceId/print/:what', async () => (await import('../screens/print/PrintPage.tsx')).PrintPage],
  ['board', async () => (await import('../screens/drying-board/DryingBoard.tsx')).DryingBoard],
  ['shelf', async () => (await import('../screens/shelf/Shelf.tsx')).Shelf],
  ['shelf/sheets/:sheetId', async () => (await import('../screens/shelf/SheetPage.tsx')).SheetPage],
  ['buying', async () => (await import('../screens/buying/Buying.tsx')).Buying],
  ['buying/shops', async () => (await import('../screens/buying/prices/ShopsAndPrices.tsx')).ShopsAndPrices],
  ['colour', async () => (await import('../screens/colour/Colours.tsx')).Colours],
  ['colour/paints/:productId', async () => (await import('../screens/colour/PaintPage.tsx')).PaintPage],
  ['colour/labels', async () => (await import('../screens/print/JarLabels.tsx')).JarLabels],
  ['log', async () => (await import('../screens/log/Log.tsx')).Log],
  ['workshop', async () => (await import('../screens/workshop/WorkshopPage.tsx')).WorkshopPage],
  ['*', async () => (await import('./shell/Lost.tsx')).Lost],
];

// The page of this address is fetched along with the first plan, not behind it.
void PAGES.find(([path]) => matchPath(`/${path}`, location.pathname))?.[1]();

const OPENED = PAGES.map(([path, load]) => ({ path, Page: lazy(async () => ({ default: await load() })) }));

export function Destinations() {
  return (
    <BrowserRouter>
      <Routes>
        <Route path="/" element={<Frame />}>
          <Route path="pieces/:pieceId" element={<Navigate to="coats" replace relative="path" />} />
          {OPENED.map(({ path, Page }) => (
            <Route key={path} path={path} element={<Page />} />
          ))}
        </Route>
      </Routes>
    </BrowserRouter>
  );
}
