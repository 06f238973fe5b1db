'use client';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { ThemeProvider } from '@mui/material/styles';
import { createContext, useContext, type ReactNode } from 'react';
import { PALETTE_STYLES } from './palette';
import { theme, THEME_STYLES } from './theme';

const Nonce = createContext<string | undefined>(undefined);

/** The nonce of this page, for components that add style elements of their own. */
export function useNonce(): string | undefined {
  return useContext(Nonce);
}

/** Theme and style cache, the variables of both written here once for a page; the nonce lets styles through the content security policy. */
export function Providers({ nonce, children }: { nonce?: string; children: ReactNode }) {
  return (
    <>
      <style {...(nonce && { nonce })} suppressHydrationWarning>
        {PALETTE_STYLES + THEME_STYLES}
      </style>
      <AppRouterCacheProvider options={{ key: 'mui', ...(nonce && { nonce }) }}>
        <ThemeProvider theme={theme} defaultMode="system" disableStyleSheetGeneration>
          <Nonce.Provider value={nonce}>{children}</Nonce.Provider>
        </ThemeProvider>
      </AppRouterCacheProvider>
    </>
  );
}
