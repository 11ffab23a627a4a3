import './app/report.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { SharedReport } from './app/SharedReport';
import { applyTheme, storedTheme } from './app/theme';

applyTheme(storedTheme());

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <SharedReport />
    </StrictMode>,
  );
}
