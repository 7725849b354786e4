import { Suspense } from 'react';
import { WalkHome } from '@/views/walk/walk-home';

/** One static page serves every outing; which one stands in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <WalkHome />
    </Suspense>
  );
}
