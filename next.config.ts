import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'knex', '@react-pdf/renderer'],
  devIndicators: false,
  poweredByHeader: false,
  experimental: {
    // The history of a car with its small pictures; what is larger is refused with words.
    serverActions: { bodySizeLimit: '8mb' },
    // A shop is open sooner when a page is loaded as it is first asked for.
    preloadEntriesOnStart: false,
  },
  // Types are checked by `npm run types` and `npm test`, once, and not again by each build.
  typescript: { ignoreBuildErrors: true },
  outputFileTracingRoot: import.meta.dirname,
}

export default config
