import '@fontsource-variable/literata';
import '@fontsource-variable/literata/wght-italic.css';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@/ui/theme.css';
import '@/ui/tokens.css';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { PALETTE_STYLES } from '@/ui/palette';
import { Providers } from '@/ui/Providers';

export const metadata: Metadata = {
  title: { default: 'Jiten', template: '%s · Jiten' },
  description: 'The studio’s own dictionary of fired results',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <style {...(nonce && { nonce })} suppressHydrationWarning>
          {PALETTE_STYLES}
        </style>
        <InitColorSchemeScript attribute="data-theme" defaultMode="system" {...(nonce && { nonce })} />
        <Providers {...(nonce && { nonce })}>{children}</Providers>
      </body>
    </html>
  );
}
