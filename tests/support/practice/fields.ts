import type { HeightField } from '@/core/terrain/height-field';

/** A field of 61 by 61 posts, 10 m apart, from a formula of metres east and north. */
export function fieldOfFormula(
  height: (east: number, north: number) => number,
  posts = 61,
  cellMetres = 10,
): HeightField {
  const metres = Float32Array.from({ length: posts * posts }, (_, post) =>
    height(cellMetres * (post % posts), cellMetres * Math.floor(post / posts)),
  );
  return { west: 0, south: 0, cellMetres, columns: posts, rows: posts, metres };
}
