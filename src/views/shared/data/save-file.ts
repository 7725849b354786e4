const RELEASE_MS = 60_000;

/** Saves a file where the browser puts downloads; always true. */
export async function save(name: string, content: Blob): Promise<boolean> {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The browser has read it by then; the address would keep its memory.
  setTimeout(() => URL.revokeObjectURL(address), RELEASE_MS);
  return true;
}

/** True when the phone's share sheet takes files. */
export function canShare(): boolean {
  const probe = new File([''], 'probe.txt', { type: 'text/plain' });
  return typeof navigator.canShare === 'function' && navigator.canShare({ files: [probe] });
}

/** Opens the share sheet with a file; false when it was closed without a choice, or refused. */
export async function share(name: string, content: Blob): Promise<boolean> {
  const files = [new File([content], name, { type: content.type })];
  try {
    if (!navigator.canShare({ files })) return false;
    await navigator.share({ files });
    return true;
  } catch {
    return false;
  }
}
