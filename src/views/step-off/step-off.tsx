'use client';
import { useSearchParams } from 'next/navigation';
import { Away } from './away';
import { Leaving } from './leaving';

/** A short trip off a path: one bearing out, and its back bearing as large as the screen. */
export function StepOff() {
  const id = useSearchParams().get('id');
  return id === null ? <Leaving /> : <Away id={id} />;
}
