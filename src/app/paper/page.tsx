import { Suspense } from 'react';
import { Paper } from '@/views/paper/paper';

/** One static page serves every outing; which one stands in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <Paper />
    </Suspense>
  );
}
