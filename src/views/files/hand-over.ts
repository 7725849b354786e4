/** Gives a file to the person: the browser puts it where downloads go. */
export function save(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The browser has taken it up by then; the address would hold the memory.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}

/** True when the phone's share sheet takes files. */
export function canShare(): boolean {
  const probe = new File([''], 'probe.txt', { type: 'text/plain' });
  return typeof navigator.canShare === 'function' && navigator.canShare({ files: [probe] });
}

/** Opens the share sheet with a file; false when it was closed without a choice, or refuses the file. */
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
