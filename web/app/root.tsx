import { ChakraProvider } from '@chakra-ui/react';
import {
  isRouteErrorResponse,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  type ShouldRevalidateFunctionArgs,
  useRouteLoaderData,
} from 'react-router';
import type { Route } from './+types/root';
import type { Preferences } from './preferences.ts';
import { doorOf } from './server/body.server.ts';
import { preferencesOf } from './server/http.server.ts';
import { Oops } from './ui/Oops.tsx';
import './theme/fonts.ts';
import { system } from './theme/system.ts';

export const links: Route.LinksFunction = () => [
  { rel: 'icon', href: '/favicon.svg', type: 'image/svg+xml' },
  { rel: 'manifest', href: '/cimiento.webmanifest' },
  { rel: 'apple-touch-icon', href: '/icon-192.png' },
];
export const meta: Route.MetaFunction = () => [{ title: 'Cimiento' }];

export const loader = ({ request, context }: Route.LoaderArgs) => ({
  preferences: preferencesOf(request),
  program: doorOf(context).program,
});

/** How a person reads changes by what they send: going from page to page asks for nothing. */
export const shouldRevalidate = ({ formMethod }: ShouldRevalidateFunctionArgs) =>
  formMethod !== undefined && formMethod !== 'GET';

export function Layout({ children }: { children: React.ReactNode }) {
  const found = useRouteLoaderData<typeof loader>('root');
  const preferences: Preferences = found?.preferences ?? { lang: 'en', theme: 'light', system: null };
  return (
    <html lang={preferences.lang} data-theme={preferences.theme}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links />
      </head>
      <body>
        <ChakraProvider value={system}>{children}</ChakraProvider>
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  );
}

export default function Root() {
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  if (!isRouteErrorResponse(error)) return <Oops code="unknown" />;
  const body: unknown = error.data;
  const code = typeof body === 'object' && body !== null && 'code' in body ? String(body.code) : '';
  const known = ['databaseDown', 'forbidden', 'notFound', 'leadOnly', 'badRequest', 'signedOut'] as const;
  return <Oops code={known.find((k) => k === code) ?? (error.status === 404 ? 'notFound' : 'unknown')} />;
}
