'use client';
import { useEffect } from 'react';

/**
 * Keeps the height that is really seen in `--room`: where a phone's keyboard covers the page
 * instead of shortening it, the page's own units of height do not follow.
 */
export function useRoom(): void {
  useEffect(() => {
    const seen = window.visualViewport;
    if (!seen) return;
    const { style } = document.documentElement;
    const follow = () => {
      // Zoomed in by fingers, the window is a detail of the page: nothing is laid out again.
      if (seen.scale > 1.01) return;
      style.setProperty('--room', `${seen.height}px`);
      if (seen.offsetTop > 0) window.scrollTo(0, 0);
    };
    follow();
    seen.addEventListener('resize', follow);
    seen.addEventListener('scroll', follow);
    return () => {
      seen.removeEventListener('resize', follow);
      seen.removeEventListener('scroll', follow);
      style.removeProperty('--room');
    };
  }, []);
}
