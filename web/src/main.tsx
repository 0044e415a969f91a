import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { makeApp } from './app/index.ts';
import './ui/theme.css';

const host = document.getElementById('root');
if (host) {
  const App = await makeApp();
  createRoot(host).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
