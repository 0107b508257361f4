import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['@electric-sql/pglite', 'piscina', 'sharp', 'pg'],
  agentRules: false,
  devIndicators: false,
  poweredByHeader: false,
  experimental: { agentUpgrade: false },
};

export default config;
