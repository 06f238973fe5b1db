import '@fontsource-variable/literata';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@/ui/tokens.css';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { studioNow } from '@/auth';
import { StudioProvider } from '@/ui/StudioContext';
import { PALETTE_STYLES } from '@/ui/palette';

export const metadata: Metadata = {
  title: { default: 'Wall', template: '%s' },
  robots: { index: false, follow: false },
  referrer: 'no-referrer',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** The visitors' own root: the palette and the type, and none of the members' frame. */
export default async function VisitorsLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" data-theme="light">
      <body>
        <style {...(nonce && { nonce })} suppressHydrationWarning>
          {PALETTE_STYLES}
        </style>
        <StudioProvider studio={await studioNow()}>{children}</StudioProvider>
      </body>
    </html>
  );
}
