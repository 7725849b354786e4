import { keepCopy, keptChoice } from './kept-choice';

/**
 * The last known way home of an outing, in words: painted before the app is awake, with its age. A
 * copy that can always be thrown away; the log is what counts.
 */
export interface LastHome {
  readonly name: string;
  readonly bearing: string;
  readonly north: string;
  readonly walk: string;
  readonly to: string;
  readonly sure: string;
  /** Milliseconds since 1970. */
  readonly at: number;
}

export const LAST_HOME_KEY = 'cairn-home-';
export const LAST_OUTING_KEY = 'cairn-last-outing';

/** Keeps the way home of the outing that is looked at. */
export function keepLastHome(outing: string, home: LastHome): void {
  keepCopy(LAST_HOME_KEY + outing, JSON.stringify(home), 'device');
  keepCopy(LAST_OUTING_KEY, outing, 'device');
}

/** The outing that was looked at last; null where there is none. */
export const lastOuting = (): string | null => keptChoice(LAST_OUTING_KEY);

/** At home there is no way home: the outing stays the one that was looked at last. */
export function keepAtHome(outing: string): void {
  keepCopy(LAST_HOME_KEY + outing, null, 'device');
  keepCopy(LAST_OUTING_KEY, outing, 'device');
}

/** Forgets the way home of an outing that is deleted. */
export function forgetLastHome(outing: string): void {
  keepCopy(LAST_HOME_KEY + outing, null, 'device');
  if (lastOuting() === outing) keepCopy(LAST_OUTING_KEY, null, 'device');
}
