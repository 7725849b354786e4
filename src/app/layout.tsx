import '@fontsource/atkinson-hyperlegible/latin-400.css';
import '@fontsource/atkinson-hyperlegible/latin-700.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-700.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { LastHome } from '@/ui/first-second/last-home';
import { Frame } from '@/ui/frame';
import { BUILD } from '@/ui/version/build';
import { BUILD_TAG } from '@/ui/version/protocol';
import { THEME_SCRIPT } from '@/ui/theme/theme-script';
import { DropAnywhere } from '@/views/files/drop-anywhere';
import { DailyCopyMaker } from '@/views/shared/data/daily-copy';
import { Rail } from '@/views/shared/frame/rail';
import { StorageWatch } from '@/views/shared/data/storage-watch';

export const metadata: Metadata = {
  title: 'Cairn Back',
  description: 'Log bearings and paces leg by leg; read off the way straight home.',
  // By this the offline worker knows the pages of its own build.
  other: { [BUILD_TAG]: BUILD },
  icons: { icon: '/icons/cairn.svg', apple: '/icons/cairn-192.png' },
};

export const viewport: Viewport = {
  width: 'device-width',
  initialScale: 1,
  // The keyboard of a phone shortens the page, so that the entry line stays above it.
  interactiveWidget: 'resizes-content',
  themeColor: '#24323B',
};

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" data-theme="day" suppressHydrationWarning>
      <body>
        <script dangerouslySetInnerHTML={{ __html: THEME_SCRIPT }} />
        <LastHome />
        <Frame>{children}</Frame>
        <DailyCopyMaker />
        <StorageWatch />
        <DropAnywhere />
        <Rail />
      </body>
    </html>
  );
}
