/** What the simulator of walks reads: an outing in plain numbers, of no type of the core. */

/** One leg as a person writes it. Distances are in metres on the level, however they were got. */
export interface PlainLeg {
  /** As written: `NE`, `220`, `220.5`, `S40W`. */
  readonly written: string;
  readonly degrees: number;
  readonly metres: number;
  readonly by: 'paces' | 'metres' | 'minutes';
  readonly ground?: string;
  readonly slopeDegrees?: number;
  /** A back bearing that agrees is written too. */
  readonly hasBack?: boolean;
  /** True for a bearing off the map, along what it shows. */
  readonly offMap?: boolean;
  readonly aim: 'needle' | 'landmark' | 'sighted';
  readonly compass: string;
  /** An obstacle boxed on the leg: metres out, and metres along. */
  readonly box?: readonly [number, number];
  /** The leg before which one walks on from here, by number; 0 for the start. */
  readonly from?: number;
}

export interface PlainHome {
  readonly aim: PlainLeg['aim'];
  readonly compass: string;
  readonly by: PlainLeg['by'];
  readonly ground?: string;
}

/** What is known of the paces on a ground: nothing, or a calibration. */
export interface PlainPace {
  readonly metres: number;
  /** Share; of a new walk. */
  readonly spread?: number;
  readonly walks?: number;
}

export interface PlainOuting {
  readonly name: string;
  readonly legs: readonly PlainLeg[];
  readonly home: PlainHome;
  /** By ground; the empty one is for all others. */
  readonly paces: Readonly<Record<string, PlainPace>>;
  /** One sigma in degrees; null where no declination is in use. */
  readonly declinationSigma: number | null;
}
