import './app/styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import { keepOffline } from './app/offline';
import { applyTheme, storedTheme } from './app/theme';
import { flush } from './steps/perform/floor/outbox';

applyTheme(storedTheme());
keepOffline(false);

// Blocks of a session that ended without a server go out as soon as the pages are opened again.
void flush();

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
