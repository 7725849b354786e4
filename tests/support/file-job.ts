import type { FileJob } from '@/workers/files-protocol';

/** A job of one file, read as it is recognised. */
export const fileJob = (name: string, content: string | Uint8Array): FileJob => ({
  files: [{ name, content, mapping: null, distanceUnit: null }],
  toleranceMetres: 10,
  today: '2026-08-14',
  paces: [],
});
