import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'knex', '@react-pdf/renderer'],
  devIndicators: false,
  poweredByHeader: false,
  outputFileTracingRoot: import.meta.dirname,
}

export default config
