import '@fontsource-variable/inter/index.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { createGlobalStyle } from 'styled-components';
import { PreferencesProvider } from './app/preferences';
import { Shell } from './app/Shell';

const Global = createGlobalStyle`
  *, *::before, *::after { box-sizing: border-box; }
  html { color-scheme: ${(p) => p.theme.name}; }
  body {
    margin: 0;
    background: ${(p) => p.theme.paper};
    color: ${(p) => p.theme.ink};
    font: 15px/1.4 'Inter Variable', system-ui, sans-serif;
    font-feature-settings: 'tnum';
  }
  a { color: inherit; }
`;

const router = createBrowserRouter([
  { path: '/', Component: Shell },
  { path: '/cars/:carId/:station?/:designId?', Component: Shell },
]);

const root = document.getElementById('root');
if (!root) {
  throw new Error('The page has no root element');
}
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={new QueryClient()}>
      <PreferencesProvider>
        <Global />
        <RouterProvider router={router} />
      </PreferencesProvider>
    </QueryClientProvider>
  </StrictMode>,
);
