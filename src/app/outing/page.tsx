import { Suspense } from 'react';
import { Spread } from '@/views/spread/spread';

/** One static page serves every outing; which one stands in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <Spread />
    </Suspense>
  );
}
