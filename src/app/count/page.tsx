import { Suspense } from 'react';
import { Counter } from '@/views/counter/counter';

/** One static page serves every outing; which one stands in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <Counter />
    </Suspense>
  );
}
