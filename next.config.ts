import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'knex', 'date-holidays', '@react-pdf/renderer'],
  devIndicators: false,
  // Every picture is served by a route that asks who may see it.
  images: { unoptimized: true },
  poweredByHeader: false,
  // The history of a car with its small pictures; what is larger is refused with words.
  experimental: { serverActions: { bodySizeLimit: '8mb' } },
  // Types are checked by `npm run types` and `npm test`, once, and not again by each build.
  typescript: { ignoreBuildErrors: true },
  outputFileTracingRoot: import.meta.dirname,
}

export default config
