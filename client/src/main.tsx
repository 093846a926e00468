import '@fontsource-variable/jetbrains-mono/wght.css';
import '@fontsource-variable/public-sans/wght.css';
import './ui/styles/tokens.css';
import './ui/styles/base.css';
import './ui/styles/panels.css';
import './ui/styles/tables.css';
import './ui/styles/lists.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { App as AntApp, ConfigProvider } from 'antd';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { HomePage } from './app/home/HomePage';
import { keepHere } from './app/keepHere';
import { SitePage } from './app/SitePage';
import { theme } from './app/theme';
import { claimWindow } from './site/window';

/** Menus, lists and tips open in a landmark of their own, where screen readers find them. */
const overlays = () => document.getElementById('overlays') ?? document.body;

const router = createBrowserRouter([
  { path: '/', element: <HomePage /> },
  { path: '/sites/:site/:step?', element: <SitePage /> },
  { path: '*', element: <HomePage /> },
]);

const queries = new QueryClient({
  // The server is on this machine more often than not: whether there is a network says nothing of it.
  defaultOptions: { queries: { refetchOnWindowFocus: false, retry: 1, networkMode: 'always' } },
});

keepHere();

void claimWindow().then(() =>
  createRoot(document.getElementById('root') as HTMLElement).render(
    <StrictMode>
      <ConfigProvider theme={theme} wave={{ disabled: true }} componentSize="medium" getPopupContainer={overlays}>
        <AntApp component={false}>
          <QueryClientProvider client={queries}>
            <RouterProvider router={router} />
          </QueryClientProvider>
        </AntApp>
      </ConfigProvider>
    </StrictMode>,
  ),
);
