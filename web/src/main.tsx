import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/index.ts';
import './ui/theme.css';

const host = document.getElementById('root');
if (host) {
  createRoot(host).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
