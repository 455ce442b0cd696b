import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'knex', '@react-pdf/renderer'],
  devIndicators: false,
  poweredByHeader: false,
  // The history of a car with its small pictures; what is larger is refused with words.
  experimental: { serverActions: { bodySizeLimit: '8mb' } },
  outputFileTracingRoot: import.meta.dirname,
}

export default config
