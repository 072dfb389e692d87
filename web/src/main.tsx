import '@fontsource-variable/inter/index.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { createGlobalStyle } from 'styled-components';
import { questionHash } from './api/questionHash';
import { asksAgainWhenBack } from './api/back';
import { mayAskAgain } from './api/client';
import { PreferencesProvider } from './preferences/preferences';
import { Door } from './app/people/Door';
import { Shell } from './app/Shell';
import { Start } from './app/start/Start';
import { PLACE } from './bench/useGo';

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
  {
    Component: Door,
    children: [
      { path: '/', Component: Shell },
      { path: '/start', Component: Start },
      { path: '/news', lazy: async () => ({ Component: (await import('./app/News')).News }) },
      { path: '/guide', lazy: async () => ({ Component: (await import('./guide/Guide')).Guide }) },
      { path: '/join', lazy: async () => ({ Component: (await import('./app/people/Join')).Join }) },
      { path: '/people', lazy: async () => ({ Component: (await import('./app/people/People')).People }) },
      { path: '/shared', lazy: async () => ({ Component: (await import('./app/people/Shared')).Shared }) },
      { path: '/state', lazy: async () => ({ Component: (await import('./app/people/State')).State }) },
      { path: PLACE, Component: Shell },
    ],
  },
]);

/** What is refused is refused the next time too; what did not arrive is asked for again. */
const queries = new QueryClient({
  // The service worker answers for a server that cannot be reached: nobody waits for the browser to say that it is online.
  defaultOptions: {
    queries: {
      networkMode: 'always',
      retry: (failures, error) => failures < 3 && mayAskAgain(error),
      queryKeyHashFn: questionHash,
    },
  },
});

asksAgainWhenBack(queries);

/** What a page is made of: asked for once more when the service worker begins to keep answers, so that it has them too. */
const KEPT = ['settings', 'presets', 'classes', 'demo', 'cars', 'car', 'builds', 'build', 'care', 'catalogue'];

// Not there where a page is served without HTTPS from another machine.
(navigator as { serviceWorker?: ServiceWorkerContainer }).serviceWorker?.addEventListener(
  'controllerchange',
  () => void queries.invalidateQueries({ predicate: ({ queryKey }) => KEPT.includes(String(queryKey[0])) }),
);

const root = document.getElementById('root');
if (!root) {
  throw new Error('The page has no root element');
}
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <PreferencesProvider>
        <Global />
        {/* At once, not as a transition: what is pressed while a station is on its way already belongs to it. */}
        <RouterProvider router={router} useTransitions={false} />
      </PreferencesProvider>
    </QueryClientProvider>
  </StrictMode>,
);
