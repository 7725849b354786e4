'use client';
import { SerwistProvider } from '@serwist/turbopack/react';
import { ConfigProvider } from 'antd';
import { useMemo, type ReactNode } from 'react';
import { useLight } from './light';
import { NewVersion } from './new-version';
import { themeFor } from './theme';

/** What stands around every view: the theme in the light that is on, and the offline worker. */
export function Frame({ children }: { children: ReactNode }) {
  const light = useLight();
  const theme = useMemo(() => themeFor(light), [light]);
  return (
    <SerwistProvider
      swUrl="/serwist/sw.js"
      disable={process.env.NODE_ENV === 'development'}
      cacheOnNavigation={false}
      // Coming back to the network must never throw away what someone is typing.
      reloadOnOnline={false}
    >
      <ConfigProvider theme={theme} wave={{ disabled: true }}>
        {children}
        <NewVersion />
      </ConfigProvider>
    </SerwistProvider>
  );
}
