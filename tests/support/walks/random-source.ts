/** Numerical Recipes' quick generator with Box and Muller; nothing of the core's. */
export function randomSource(seed: number) {
  let state = BigInt.asUintN(64, BigInt(seed) * 2862933555777941757n + 3037000493n);
  let [low, high] = [Number(state & 0xffffffffn) | 1, Number(state >> 32n) | 1];
  state = 0n;
  const uniform = () => {
    // Two multiply-with-carry halves (G. Marsaglia, 1994; memory).
    high = (36969 * (high & 65535) + (high >>> 16)) >>> 0;
    low = (18000 * (low & 65535) + (low >>> 16)) >>> 0;
    return (((high << 16) + low) >>> 0) / 4294967296;
  };
  let kept = NaN;
  const normal = () => {
    if (!Number.isNaN(kept)) {
      const value = kept;
      kept = NaN;
      return value;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
    const angle = 2 * Math.PI * uniform();
    kept = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
  return { uniform, normal };
}
