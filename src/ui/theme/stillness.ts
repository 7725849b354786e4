/** Whether the system asks for less movement; not where a page is made before it is shown. */
export const wantsStillness = () =>
  typeof window !== 'undefined' && matchMedia('(prefers-reduced-motion: reduce)').matches;
