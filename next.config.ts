import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['knex', 'mysql2', 'sharp', '@node-rs/argon2', 'pino', 'pdfkit'],
  // Types are checked once, by npm test.
  typescript: { ignoreBuildErrors: true },
  poweredByHeader: false,
  // The server before it packs what is sent.
  compress: false,
  devIndicators: false,
  experimental: { serverActions: { bodySizeLimit: '2mb' } },
  headers: async () => [
    // Nobody is signed in here: pictures and pages that the browser kept are members' own. Heeded over HTTPS only.
    { source: '/sign-in', headers: [{ key: 'Clear-Site-Data', value: '"cache"' }] },
    {
      source: '/(.*)',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
        { key: 'Permissions-Policy', value: 'camera=(self), microphone=(), geolocation=()' },
      ],
    },
  ],
};

export default config;
