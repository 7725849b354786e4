import { Suspense } from 'react';
import { StepOff } from '@/views/step-off/step-off';

/** One static page: with an outing's id in the query it is the way back, without one the setting out. */
export default function Page() {
  return (
    <Suspense>
      <StepOff />
    </Suspense>
  );
}
