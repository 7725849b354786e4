'use client';
import { Fragment, type ReactNode } from 'react';
import { FrameKeys } from '@/views/shared/frame/frame-keys';
import { useUnits } from '@/ui/units/chosen-units';

/** A view in the person's units. It begins again when figures are to be shown in other ones. */
export function InUnits({ children }: { children: ReactNode }) {
  const { lengths, bearings } = useUnits();
  return (
    <>
      <Fragment key={`${lengths} ${bearings}`}>{children}</Fragment>
      <FrameKeys />
    </>
  );
}
