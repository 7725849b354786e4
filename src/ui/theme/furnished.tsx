'use client';
import { AntdRegistry } from '@ant-design/nextjs-registry';
import { ConfigProvider } from 'antd';
import { useMemo, type ReactNode } from 'react';
import { useTheme } from './chosen-theme';
import { componentTheme } from './component-theme';
import { wantsStillness } from './stillness';

/** A view with the component library in the chosen theme. */
export function Furnished({ children }: { children: ReactNode }) {
  const theme = useTheme();
  const config = useMemo(() => componentTheme(theme, !wantsStillness()), [theme]);
  return (
    <AntdRegistry>
      <ConfigProvider theme={config} wave={{ disabled: true }}>
        {children}
      </ConfigProvider>
    </AntdRegistry>
  );
}
