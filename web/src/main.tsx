import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { makeApp } from './app/index.ts';
import './ui/theme.css';

// Styles that libraries write into the page carry the sign by which the server's policy knows them.
setNonce(document.querySelector<HTMLMetaElement>('meta[name="nonce"]')?.content ?? '');

const host = document.getElementById('root');
if (host) {
  const App = await makeApp();
  createRoot(host).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
