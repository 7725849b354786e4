import { Suspense } from 'react';
import { WayHome } from '@/views/way-home/way-home';

/** One static page serves the way home of every outing; which one stands in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <WayHome />
    </Suspense>
  );
}
