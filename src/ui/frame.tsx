'use client';
import { SerwistProvider } from '@serwist/turbopack/react';
import { useEffect, type ReactNode } from 'react';
import { useTheme } from './theme/chosen-theme';
import { watchChunks } from './version/chunk-failure';
import { NewVersion } from './version/new-version';

/** What is around every view: the service worker, and what is said of new versions. */
export function Frame({ children }: { children: ReactNode }) {
  useEffect(watchChunks, []);
  // Every page follows the system and other tabs, also one without the component library.
  useTheme();
  return (
    <SerwistProvider
      swUrl="/serwist/sw.js"
      disable={process.env.NODE_ENV === 'development'}
      cacheOnNavigation={false}
      // Coming back online must never lose what someone is typing.
      reloadOnOnline={false}
    >
      {children}
      <NewVersion />
    </SerwistProvider>
  );
}
