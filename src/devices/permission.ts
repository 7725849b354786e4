/** Asks for the sensors where a browser wants that; true where it need not be asked. */
export async function sensorAllowed(kind: unknown): Promise<boolean> {
  const asking = kind as { requestPermission?: () => Promise<string> } | undefined;
  if (!asking?.requestPermission) return true;
  try {
    return (await asking.requestPermission()) === 'granted';
  } catch {
    return false;
  }
}

/** A sensor that exists sends something within this time; another sends nothing at all. */
export const LONGEST_SILENCE_MS = 2000;
