import type { Metadata } from 'next';
import { Suspense } from 'react';
import { HomeNow } from '@/views/home-now/home-now';
import { InUnits } from '@/views/in-units';
import { viewTitle } from '@/views/views';

export const metadata: Metadata = { title: `${viewTitle('home-now')} · Cairn Back` };

/** A page of its own: it is opened in a hurry, and does without where the others' code is. */
export default function Page() {
  return (
    <Suspense>
      <InUnits>
        <HomeNow />
      </InUnits>
    </Suspense>
  );
}
