import type { MetadataRoute } from 'next';

export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Cairn Back',
    short_name: 'Cairn Back',
    description: 'Log bearings and paces leg by leg; read off the way straight home.',
    start_url: '/',
    display: 'standalone',
    shortcuts: [{ name: 'Home now', url: '/home-now' }],
    background_color: '#F5F2EA',
    theme_color: '#24323B',
    icons: [
      { src: '/icons/cairn-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/cairn-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/cairn-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
