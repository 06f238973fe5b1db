'use client';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { ThemeProvider } from '@mui/material/styles';
import { createContext, useContext, type ReactNode } from 'react';
import { theme } from './theme';

const Nonce = createContext<string | undefined>(undefined);

/** The nonce of this page, for components that add style elements of their own. */
export function useNonce(): string | undefined {
  return useContext(Nonce);
}

/** Theme, whose variables stand in theme.css, and style cache; the nonce lets its styles through the security policy. */
export function Providers({ nonce, children }: { nonce?: string; children: ReactNode }) {
  return (
    <AppRouterCacheProvider options={{ key: 'mui', ...(nonce && { nonce }) }}>
      <ThemeProvider theme={theme} defaultMode="system" disableStyleSheetGeneration>
        <Nonce.Provider value={nonce}>{children}</Nonce.Provider>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
