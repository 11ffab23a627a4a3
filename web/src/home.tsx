import './app/home.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { HomeApp } from './app/HomeApp';
import { applyTheme, storedTheme } from './app/theme';
import { keepOffline } from './app/offline';
import { flush } from './steps/perform/floor/outbox';

applyTheme(storedTheme());
keepOffline(true);
void flush();

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <HomeApp />
    </StrictMode>,
  );
}
