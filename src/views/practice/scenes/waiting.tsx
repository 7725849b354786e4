import { WORDS } from '../words';

/** While something is made in the worker, or when that failed. */
export const Waiting = ({ failed }: { failed: boolean }) => (
  <p role={failed ? 'alert' : 'status'}>{failed ? WORDS.failed : WORDS.making}</p>
);
