import { Suspense } from 'react';
import { Layout } from '@/views/layout/layout';

/** One static page serves every outing; which one stands in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <Layout />
    </Suspense>
  );
}
