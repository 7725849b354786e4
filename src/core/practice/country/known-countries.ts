import type { Country } from './country';
import { makeCountry } from './make-country';

/** Exercises share a few countries: they are made once. */
const made = new Map<number, Country>();
const MOST = 4;
/** So many countries are practised on by exercises; walks have any. */
const COUNTRIES = 12;

/** The country of a seed, made when it is first asked for. */
export function countryOf(seed: number): Country {
  const known = made.get(seed);
  if (known) return known;
  const country = makeCountry(seed);
  if (made.size >= MOST) made.delete(made.keys().next().value!);
  made.set(seed, country);
  return country;
}

/** The number of the country that an exercise of a seed uses. */
export const countryFor = (seed: number): number => 1 + (seed % COUNTRIES);
