import type { MetadataRoute } from 'next'

/** What a tablet needs to put the shop on its home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Fern Yard',
    short_name: 'Fern Yard',
    description: 'Paint care from the gauge to the years after.',
    id: '/work',
    start_url: '/work',
    scope: '/',
    display: 'standalone',
    background_color: '#f2efe3',
    theme_color: '#2f6242',
    icons: [
      { src: '/icons/fern-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/fern-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/fern-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  }
}
