/**
 * Standard normal numbers in blocks, from a seed, the same on every machine.
 *
 * The uniform source is xorshift128 (G. Marsaglia, Xorshift RNGs, Journal of Statistical Software 8(14), 2003; memory), seeded by
 * splitmix32. Normals come by the ziggurat of 128 layers (G. Marsaglia and W. W. Tsang, Journal of Statistical Software 5(8),
 * 2000), but the layer, the sign and the value are taken from bits that do not overlap: the first paper's shared ones correlate.
 */
const LAYERS = 128;
const R = 3.442619855899;
const AREA = 9.91256303526217e-3;
/** The value takes the upper 24 bits of a word, with their sign: a branch on a bit of its own would be guessed wrong half the time. */
const VALUES = 2 ** 23;

const { ACCEPT, SCALE, HEIGHT } = tables();

function tables() {
  const accept = new Int32Array(LAYERS);
  const scale = new Float64Array(LAYERS);
  const height = new Float64Array(LAYERS);
  let [x, before] = [R, R];
  const top = AREA / Math.exp((-R * R) / 2);
  accept[0] = Math.floor((R / top) * VALUES);
  accept[1] = 0;
  scale[0] = top / VALUES;
  scale[LAYERS - 1] = R / VALUES;
  height[0] = 1;
  height[LAYERS - 1] = Math.exp((-R * R) / 2);
  for (let i = LAYERS - 2; i >= 1; i--) {
    x = Math.sqrt(-2 * Math.log(AREA / x + Math.exp((-x * x) / 2)));
    accept[i + 1] = Math.floor((x / before) * VALUES);
    before = x;
    height[i] = Math.exp((-x * x) / 2);
    scale[i] = x / VALUES;
  }
  return { ACCEPT: accept, SCALE: scale, HEIGHT: height };
}

/** The four words of a stream, from a seed and the number of the stream. */
function seeded(seed: number, stream: number): Int32Array {
  const state = new Int32Array(4);
  let word = (seed ^ Math.imul(stream + 1, 0x9e3779b1)) >>> 0;
  for (let i = 0; i < 4; i++) {
    word = (word + 0x9e3779b9) >>> 0;
    let mixed = word;
    mixed = Math.imul(mixed ^ (mixed >>> 16), 0x21f0aaad);
    mixed = Math.imul(mixed ^ (mixed >>> 15), 0x735a2d97);
    state[i] = (mixed ^ (mixed >>> 15)) >>> 0;
  }
  return state;
}

/** A stream of standard normals; two streams of one seed share nothing. */
export class NormalStream {
  /** Four words in a typed array: as plain numbers they would outgrow the engine's small integers and be boxed. */
  private readonly state: Int32Array;

  constructor(seed: number, stream: number) {
    this.state = seeded(seed, stream);
  }

  /** Fills an array with the next normals of the stream. */
  fill(into: Float64Array): void {
    const { state } = this;
    const accept = ACCEPT;
    const scale = SCALE;
    const count = into.length;
    let a = state[0]!;
    let b = state[1]!;
    let c = state[2]!;
    let d = state[3]!;
    for (let n = 0; n < count;) {
      // xorshift128, written out: a call for each word would cost more than the word.
      const t = a ^ (a << 11);
      a = b;
      b = c;
      c = d;
      d = d ^ (d >>> 19) ^ t ^ (t >>> 8);
      const word = d;
      const layer = word & 127;
      const value = word >> 8;
      const signed = value * scale[layer]!;
      if ((value ^ (value >> 31)) < accept[layer]!) {
        into[n++] = signed;
        continue;
      }
      // One time in a hundred: the wedge of a layer, or the tail.
      state[0] = a;
      state[1] = b;
      state[2] = c;
      state[3] = d;
      const rare = this.rare(layer, Math.abs(signed));
      a = state[0];
      b = state[1];
      c = state[2];
      d = state[3];
      if (rare >= 0) into[n++] = value < 0 ? -rare : rare;
    }
    state[0] = a;
    state[1] = b;
    state[2] = c;
    state[3] = d;
  }

  /** A size from a layer's wedge or from the tail; -1 when it is to be drawn anew. */
  private rare(layer: number, size: number): number {
    if (layer === 0) {
      for (;;) {
        const x = -Math.log(this.uniform()) / R;
        const y = -Math.log(this.uniform());
        if (y + y > x * x) return R + x;
      }
    }
    const low = HEIGHT[layer]!;
    const height = low + this.uniform() * (HEIGHT[layer - 1]! - low);
    return height < Math.exp((-size * size) / 2) ? size : -1;
  }

  /** A uniform number in (0, 1). */
  private uniform(): number {
    const { state } = this;
    const t = state[0]! ^ (state[0]! << 11);
    state.copyWithin(0, 1);
    const word = state[2]! ^ (state[2]! >>> 19) ^ t ^ (t >>> 8);
    state[3] = word;
    return ((word >>> 0) + 0.5) / 4_294_967_296;
  }
}
