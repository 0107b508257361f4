import type { NextConfig } from 'next';

/** On every answer: nothing is guessed, framed, read by another site or told to it. */
const HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Referrer-Policy': 'no-referrer',
};

const config: NextConfig = {
  headers: async () => [
    {
      source: '/:path*',
      headers: Object.entries(HEADERS).map(([key, value]) => ({ key, value })),
    },
  ],
  serverExternalPackages: ['@electric-sql/pglite', 'piscina', 'sharp', 'pg'],
  agentRules: false,
  devIndicators: false,
  poweredByHeader: false,
  // `npm test` checks types on their own; the person who only starts the app need not wait for it.
  typescript: { ignoreBuildErrors: true },
  experimental: { agentUpgrade: false },
};

export default config;
