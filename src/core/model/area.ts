import * as z from 'zod/mini';
import { stationName } from '../readings/name';
import { positionSchema } from '../readings/position';
import { openObject } from '../readings/shape';
import { headerFields } from './header';
import { METHODS } from './method';
import { recordId } from './outing';

/** More outings than any party walks. */
export const MOST_OUTINGS = 200;
const MOST_JOINS = 5000;

/** A station of one of the outings: by its name, or by its leg's number in the log. */
const areaStation = openObject({ outing: recordId, station: stationName });
export type AreaStation = z.infer<typeof areaStation>;

const stationsOfOnePlace = openObject({
  stations: z.array(areaStation).check(z.minLength(2), z.maxLength(MOST_OUTINGS * 2)),
});

/** Several outings as one survey: which they are, and which of their stations are one. */
export const areaSchema = openObject({
  id: recordId,
  name: headerFields.name,
  method: z.enum(METHODS),
  outings: z.array(recordId).check(z.maxLength(MOST_OUTINGS)),
  /** Stations that the person said are one place, and those that are not, whatever their names. */
  same: z.array(stationsOfOnePlace).check(z.maxLength(MOST_JOINS)),
  apart: z.array(stationsOfOnePlace).check(z.maxLength(MOST_JOINS)),
  /** Stations whose position a map tells. */
  known: z.optional(
    z
      .array(openObject({ outing: recordId, station: stationName, position: positionSchema }))
      .check(z.maxLength(MOST_JOINS)),
  ),
});
export type Area = z.infer<typeof areaSchema>;

/** An area of some outings, none of whose stations are joined yet. */
export const blankArea = (id: string, name: string, outings: string[]): Area => ({
  id,
  name,
  method: 'least-squares',
  outings,
  same: [],
  apart: [],
});
