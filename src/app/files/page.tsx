import { Suspense } from 'react';
import { Files } from '@/views/files/files';

/** Everything in and out; the outing that one came from may stand in the query, `?id=`. */
export default function Page() {
  return (
    <Suspense>
      <Files />
    </Suspense>
  );
}
