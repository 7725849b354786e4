/**
 * Standard normal numbers in blocks, from a seed, the same on every machine.
 *
 * The uniform source is xorshift128 (G. Marsaglia, Xorshift RNGs, Journal of Statistical Software
 * 8(14), 2003; memory), seeded by splitmix32. Normals come by the ziggurat of 256 layers (G.
 * Marsaglia and W. W. Tsang, Journal of Statistical Software 5(8), 2000), but the layer and the
 * value with its sign are taken from bits that do not overlap: the first paper's shared ones
 * correlate.
 */
const LAYERS = 256;
/**
 * Where the tail begins, and each layer's area: the paper's values (memory; a test checks the sum).
 */
const R = 3.6541528853610088;
const AREA = 0.00492867323399;
/**
 * The value takes a word's upper 24 bits with their sign: a branch on a sign bit would be
 * mispredicted half the time.
 */
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

/** Numbers a block. */
const BLOCK = 1024;
/** Separates the words of the wedges and tails from those of the layers' sure parts. */
const ANOTHER = 0x5bd1e995;

/** A stream of standard normals; two streams of one seed share nothing. */
export class NormalStream {
  /**
   * Four words in a typed array: as plain numbers they would outgrow small integers and be boxed.
   */
  private readonly state: Int32Array;
  /**
   * Words for wedges and tails, kept apart so that a block may be cut anywhere and stay the same.
   */
  private readonly rareState: Int32Array;

  /** Places and words outside the layers' sure parts wait here until the end of a block. */
  private readonly waitingAt = new Int32Array(BLOCK);
  private readonly waitingWord = new Int32Array(BLOCK);

  constructor(seed: number, stream: number) {
    this.state = seeded(seed, stream);
    this.rareState = seeded(seed ^ ANOTHER, stream);
  }

  /**
   * Fills an array with the next normals. Throws RangeError unless its length is a multiple of 4.
   */
  fill(into: Float64Array): void {
    if (into.length % 4 !== 0) {
      throw new RangeError(`${into.length} normals were asked for; they come in fours`);
    }
    for (let from = 0; from < into.length; from += BLOCK) {
      this.fillBlock(into, from, Math.min(from + BLOCK, into.length));
    }
  }

  private fillBlock(into: Float64Array, from: number, to: number): void {
    const { state } = this;
    const accept = ACCEPT;
    const scale = SCALE;
    const at = this.waitingAt;
    const word = this.waitingWord;
    let waiting = 0;
    let a = state[0]!;
    let b = state[1]!;
    let c = state[2]!;
    let d = state[3]!;
    // xorshift128, four words a turn, so that none has to be moved; no call in the loop, which
    // would push them out of registers.
    for (let n = from; n < to; n += 4) {
      let t = a ^ (a << 11);
      a = d ^ (d >>> 19) ^ t ^ (t >>> 8);
      t = b ^ (b << 11);
      b = a ^ (a >>> 19) ^ t ^ (t >>> 8);
      t = c ^ (c << 11);
      c = b ^ (b >>> 19) ^ t ^ (t >>> 8);
      t = d ^ (d << 11);
      d = c ^ (c >>> 19) ^ t ^ (t >>> 8);
      let value = a >> 8;
      let layer = a & 255;
      into[n] = value * scale[layer]!;
      if ((value ^ (value >> 31)) >= accept[layer]!) {
        at[waiting] = n;
        word[waiting++] = a;
      }
      value = b >> 8;
      layer = b & 255;
      into[n + 1] = value * scale[layer]!;
      if ((value ^ (value >> 31)) >= accept[layer]!) {
        at[waiting] = n + 1;
        word[waiting++] = b;
      }
      value = c >> 8;
      layer = c & 255;
      into[n + 2] = value * scale[layer]!;
      if ((value ^ (value >> 31)) >= accept[layer]!) {
        at[waiting] = n + 2;
        word[waiting++] = c;
      }
      value = d >> 8;
      layer = d & 255;
      into[n + 3] = value * scale[layer]!;
      if ((value ^ (value >> 31)) >= accept[layer]!) {
        at[waiting] = n + 3;
        word[waiting++] = d;
      }
    }
    state[0] = a;
    state[1] = b;
    state[2] = c;
    state[3] = d;
    for (let i = 0; i < waiting; i++) into[at[i]!] = this.rare(word[i]!);
  }

  /** The normal of a word in a layer's wedge or in the tail: one time in 160. */
  private rare(first: number): number {
    for (let word = first; ; word = this.word()) {
      const layer = word & 255;
      const value = word >> 8;
      const x = value * SCALE[layer]!;
      if ((value ^ (value >> 31)) < ACCEPT[layer]!) return x;
      if (layer === 0) return value < 0 ? -this.tail() : this.tail();
      const low = HEIGHT[layer]!;
      const height = low + this.uniform() * (HEIGHT[layer - 1]! - low);
      if (height < Math.exp((-x * x) / 2)) return x;
    }
  }

  /** A size beyond the last layer (G. Marsaglia 1964, in the paper above). */
  private tail(): number {
    for (;;) {
      const x = -Math.log(this.uniform()) / R;
      const y = -Math.log(this.uniform());
      if (y + y > x * x) return R + x;
    }
  }

  private word(): number {
    const state = this.rareState;
    const t = state[0]! ^ (state[0]! << 11);
    const word = state[3]! ^ (state[3]! >>> 19) ^ t ^ (t >>> 8);
    state[0] = state[1]!;
    state[1] = state[2]!;
    state[2] = state[3]!;
    state[3] = word;
    return word;
  }

  /** A uniform number in (0, 1). */
  private uniform(): number {
    return ((this.word() >>> 0) + 0.5) / 4_294_967_296;
  }
}
