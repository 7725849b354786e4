/**
 * Does something in one tab at a time. Where a browser has no locks (an address without TLS), it is
 * done without: what is done must still notice what another tab has written.
 */
export function exclusively<Outcome>(name: string, act: () => Promise<Outcome>): Promise<Outcome> {
  const locks = (globalThis.navigator as { locks?: LockManager } | undefined)?.locks;
  return locks ? (locks.request(name, act) as Promise<Outcome>) : act();
}
