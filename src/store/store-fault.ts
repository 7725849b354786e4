/** Why the store could not do something. */
export type StoreFault =
  | 'full'
  | 'newer'
  /** A newer app in a tab, while older ones are open: it does not touch the database. */
  | 'waiting'
  | 'blocked'
  | 'unavailable'
  /** The store does not answer. */
  | 'silent'
  /** What was changed is deleted. */
  | 'gone'
  /** The store keeps outings, and not files. */
  | 'no-files'
  | 'failed';

const NAMES: Readonly<Record<string, StoreFault>> = {
  QuotaExceededError: 'full',
  QuotaExceeded: 'full',
  VersionError: 'newer',
  BlockedError: 'blocked',
  MissingAPIError: 'unavailable',
  OpenFailedError: 'unavailable',
  InvalidStateError: 'unavailable',
  SecurityError: 'unavailable',
  UnknownError: 'unavailable',
  SilentError: 'silent',
  WaitingError: 'waiting',
};

/** An error of the database as a fault that a person can do something about. */
export function storeFault(error: unknown): StoreFault {
  for (let at: unknown = error; at instanceof Error || at instanceof DOMException;) {
    const cause: unknown = (at as { inner?: unknown }).inner;
    const known = NAMES[at.name];
    // A failed open, or an abort, has its true reason inside.
    if (known && known !== 'unavailable') return known;
    if (cause === undefined || cause === null || cause === at) return known ?? 'failed';
    at = cause;
  }
  return 'failed';
}

/** True for the clash of two tabs that wrote the same number. */
export const isClash = (error: unknown): boolean =>
  error instanceof Error && error.name === 'ConstraintError';
