import { Suspense } from 'react';
import { Norths } from '@/views/norths/norths';

/** One static page serves the norths of every outing; which one stands in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <Norths />
    </Suspense>
  );
}
