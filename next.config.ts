import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['@electric-sql/pglite', 'piscina', 'sharp', 'pg'],
  agentRules: false,
  devIndicators: false,
  poweredByHeader: false,
  // `npm test` checks types on their own; the person who only starts the app need not wait for it.
  typescript: { ignoreBuildErrors: true },
  experimental: { agentUpgrade: false },
};

export default config;
