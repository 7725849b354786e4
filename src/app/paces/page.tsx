import { Suspense } from 'react';
import { Paces } from '@/views/paces/paces';

/** One static page serves every outing; which one stands in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <Paces />
    </Suspense>
  );
}
