/** Asks where a browser wants to be asked before it tells of its sensors; true where it need not be. */
export async function sensorAllowed(kind: unknown): Promise<boolean> {
  const asking = kind as { requestPermission?: () => Promise<string> } | undefined;
  if (!asking?.requestPermission) return true;
  try {
    return (await asking.requestPermission()) === 'granted';
  } catch {
    return false;
  }
}

/** A sensor that is there tells something within this time; one that is not says nothing at all. */
export const LONGEST_SILENCE_MS = 2000;
