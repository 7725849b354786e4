/** A file or a text as it came: it is read again when a choice changes. */
export interface OfferedFile {
  /** Of this offer: the same file may be offered again. */
  readonly id: string;
  readonly name: string;
  readonly content: Uint8Array | string;
}

export const offeredFile = (name: string, content: OfferedFile['content']): OfferedFile => ({
  id: crypto.randomUUID(),
  name,
  content,
});
