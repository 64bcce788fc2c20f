import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource/commit-mono/400.css';
import './app/shell/theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { applyTheme } from './app/shell/theme.ts';
import { Destinations } from './app/Destinations.tsx';
import { store } from './app/store.ts';

applyTheme();
const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <Destinations />
      </Provider>
    </StrictMode>,
  );
}
