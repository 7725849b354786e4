'use client';
import { SerwistProvider } from '@serwist/turbopack/react';
import { ConfigProvider } from 'antd';
import { useEffect, useMemo, type ReactNode } from 'react';

import { useTheme } from './theme/chosen-theme';
import { componentTheme } from './theme/component-theme';
import { watchChunks } from './version/chunk-failure';
import { NewVersion } from './version/new-version';

/** What is around every view: the theme, and the service worker. */
export function Frame({ children }: { children: ReactNode }) {
  const theme = useTheme();
  const config = useMemo(() => componentTheme(theme), [theme]);
  useEffect(watchChunks, []);
  return (
    <SerwistProvider
      swUrl="/serwist/sw.js"
      disable={process.env.NODE_ENV === 'development'}
      cacheOnNavigation={false}
      // Coming back online must never lose what someone is typing.
      reloadOnOnline={false}
    >
      <ConfigProvider theme={config} wave={{ disabled: true }}>
        {children}
        <NewVersion />
      </ConfigProvider>
    </SerwistProvider>
  );
}
