/**
 * Uniform numbers in [0, 1) from a seed, the same on every machine: mulberry32 (Tommy Ettinger,
 * 2017, public domain; memory). For simulated devices; its period of 2^32 is too short for large
 * samples.
 */
export function uniform(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Standard normal numbers from a source of uniform ones, by Box and Muller (1958). */
export function normals(next: () => number): () => number {
  let kept: number | null = null;
  return () => {
    if (kept !== null) {
      const value = kept;
      kept = null;
      return value;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - next()));
    const angle = 2 * Math.PI * next();
    kept = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}
