import type { AreaParts } from '../../core/navigation/area-answer';
import type { Area } from '../../core/model/area';
import type { Outing } from '../../core/model/outing';

/** An area to be adjusted, with its outings. Plain data, so that it can be posted. */
export interface AreaJob {
  readonly area: Area;
  readonly outings: readonly Outing[];
}

/** What the worker that adjusts areas offers. */
export interface AreasWorker {
  /** Tells each round of the adjustment. */
  solve(job: AreaJob, onRound: (round: number) => void): AreaParts | Promise<AreaParts>;
}
