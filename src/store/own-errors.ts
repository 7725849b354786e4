import * as z from 'zod/mini';
import {
  DEFAULT_ERRORS,
  SIGMA_IDS,
  unitOfSigma,
  type ErrorSettings,
  type SigmaReading,
} from '../core/model/error-settings';
import type { LearnedSigma } from '../core/learning/learn';
import { keepChoice } from './keep-choice';
import { keptObject } from './kept-choice';

const OWN_ERRORS_KEY = 'cairn-errors';

const schema = z.object({
  /** Sigmas that the person set, in degrees or per cent. */
  set: z._default(
    z.array(
      z.object({
        of: z.enum(SIGMA_IDS),
        unit: z.enum(['degrees', 'percent']),
        value: z.number().check(z.gte(0), z.lte(100)),
      }),
    ),
    [],
  ),
  /** Whether sigmas are learned from the outings on this device, and from which moment on. */
  learns: z._default(z.boolean(), true),
  since: z._default(z.nullable(z.string()), null),
  /** The name that the person's own outings are by; null for those by nobody alone. */
  name: z._default(z.nullable(z.string()), null),
  /** What was learned last, to begin new outings with; it is computed again from the outings. */
  learned: z._default(
    z.array(
      z.object({ of: z.enum(SIGMA_IDS), unit: z.enum(['degrees', 'percent']), value: z.number() }),
    ),
    [],
  ),
});

/** A person's own errors, as this device remembers them. */
export type OwnErrors = z.infer<typeof schema>;

const NOTHING: OwnErrors = { set: [], learns: true, since: null, name: null, learned: [] };

/** The person's own errors; what can't be read of them is as if nothing were said. */
export function ownErrors(): OwnErrors {
  const found = schema.safeParse(keptObject(OWN_ERRORS_KEY));
  return found.success ? found.data : NOTHING;
}

export const keepOwnErrors = (own: OwnErrors): Promise<boolean> =>
  keepChoice(OWN_ERRORS_KEY, JSON.stringify(own));

/** A learned sigma as a person writes it, to a tenth. */
export const readingOf = ({ id, sigma }: Pick<LearnedSigma, 'id' | 'sigma'>): SigmaReading => {
  const unit = unitOfSigma(id);
  const value = unit === 'degrees' ? sigma : 100 * sigma;
  return { of: id, unit, value: Math.round(10 * value) / 10 };
};

/** What holds for the person: what they set, else what was learned, where it isn't the usual. */
export function ownSigmas({ set, learns, learned }: OwnErrors): SigmaReading[] {
  const taken = learns ? learned.filter((each) => set.every(({ of }) => of !== each.of)) : [];
  const usual = (of: SigmaReading['of']) => readingValue(DEFAULT_ERRORS, of);
  return [...set, ...taken].filter(({ of, value }) => value !== usual(of));
}

/** A setting as a person writes it: degrees, or per cent. */
export const readingValue = (errors: ErrorSettings, of: SigmaReading['of']): number =>
  Math.round(100 * (unitOfSigma(of) === 'degrees' ? errors[of] : 100 * errors[of])) / 100;

/** What a new outing's header says of errors: the person's own, where they aren't the usual. */
export function errorsOfNewOuting(): { errors?: { sigmas: SigmaReading[] } } {
  const sigmas = ownSigmas(ownErrors());
  return sigmas.length > 0 ? { errors: { sigmas } } : {};
}
