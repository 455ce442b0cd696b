import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'knex', 'date-holidays', '@react-pdf/renderer'],
  devIndicators: false,
  // Every picture is served by a route that asks who may see it.
  images: { unoptimized: true },
  poweredByHeader: false,
  experimental: {
    // The history of a car with its small pictures; what is larger is refused with words.
    serverActions: { bodySizeLimit: '8mb' },
    // A photograph of a good camera: what is larger than this would be cut off without a word, and the server refuses it before.
    proxyClientMaxBodySize: '32mb',
  },
  // Types are checked by `npm run types` and `npm test`, once, and not again by each build.
  typescript: { ignoreBuildErrors: true },
  outputFileTracingRoot: import.meta.dirname,
}

export default config
