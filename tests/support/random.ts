/** Uniform numbers in [0, 1) from a seed: mulberry32 (Tommy Ettinger, 2017, public domain; memory). */
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

/** Standard normal numbers from a seed, by Box and Muller (1958). */
export function normals(seed: number): () => number {
  const next = uniform(seed);
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
