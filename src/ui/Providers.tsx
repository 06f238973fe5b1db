'use client';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { theme } from './theme';

/** Theme and style cache; the nonce lets the injected styles through the content security policy. */
export function Providers({ nonce, children }: { nonce?: string; children: ReactNode }) {
  return (
    <AppRouterCacheProvider options={{ key: 'mui', ...(nonce && { nonce }) }}>
      <ThemeProvider theme={theme} defaultMode="system" disableTransitionOnChange>
        {children}
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
