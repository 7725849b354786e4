'use client';
import { useEffect, useState } from 'react';
import type { Header } from '@/core/model/header';

/** True once an outing can be adjusted, where it asks for it; what does it is loaded only then. */
export function useAdjuster(header: Header | null): boolean {
  const [isLoaded, setIsLoaded] = useState(false);
  const isAsked = (header?.adjust?.method ?? 'as-walked') !== 'as-walked';
  useEffect(() => {
    if (!isAsked || isLoaded) return;
    let gone = false;
    void import('@/core/survey/adjusted/provided').then(() => {
      if (!gone) setIsLoaded(true);
    });
    return () => {
      gone = true;
    };
  }, [isAsked, isLoaded]);
  return isLoaded || !isAsked;
}
