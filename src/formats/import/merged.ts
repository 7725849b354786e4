import type { FileContents } from './file-contents';

/** A file by its name, as it was read. */
export interface NamedContents {
  readonly name: string;
  readonly contents: FileContents;
}

/** What several files hold together; practice and a device's own from the first that has them. */
export function mergedContents(
  files: readonly NamedContents[],
  kind: FileContents['kind'],
): FileContents {
  const all = files.map(({ contents }) => contents);
  const isOne = files.length === 1;
  return {
    kind,
    outings: all.flatMap(({ outings }) => outings),
    profiles: all.flatMap(({ profiles }) => profiles),
    areas: all.flatMap(({ areas = [] }) => areas),
    routes: all.flatMap(({ routes = [] }) => routes),
    knownPlaces: all.flatMap(({ knownPlaces = [] }) => knownPlaces),
    practice: all.find(({ practice }) => practice)?.practice,
    device: all.find(({ device }) => device)?.device,
    pixels: new Map(all.flatMap(({ pixels }) => [...(pixels ?? [])])),
    messages: files.flatMap(({ name, contents: { messages } }) =>
      messages.map((message) => (isOne ? message : `${name}: ${message}`)),
    ),
    thinned: all.some(({ thinned }) => thinned),
  };
}
