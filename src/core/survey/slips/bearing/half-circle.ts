import { COMPASS_POINTS, normalised } from '../../../units/angle';
import { CIRCLE, type BearingReading } from '../../../readings/bearing';
import type { Slip } from '../slip';
import { withBearing } from './turned';

const OPPOSITE = { N: 'S', S: 'N', E: 'W', W: 'E' } as const;

/** The same direction read from the other end, in the unit in which it was read. */
function opposite(reading: BearingReading): BearingReading {
  switch (reading.unit) {
    case 'quadrant':
      return { ...reading, from: OPPOSITE[reading.from], toward: OPPOSITE[reading.toward] };
    case 'wind': {
      const across = (COMPASS_POINTS.indexOf(reading.wind) + 8) % COMPASS_POINTS.length;
      return { ...reading, wind: COMPASS_POINTS[across]! };
    }
    default: {
      const { unit, north, value } = reading;
      const turned = unit === 'degrees' ? normalised(value + 180) : value + CIRCLE[unit] / 2;
      return { unit, north, value: turned % CIRCLE[unit] };
    }
  }
}

/** The map or the compass reversed, or the wrong end of the needle read. */
export const halfCircle: Slip = {
  id: 'half-circle',
  prior: 0.01,
  lookAt: 'which way the leg went: the sun, the slope, the wind, the way you came back',
  of: (leg) => [withBearing(leg, opposite(leg.reading.bearing), 'the bearing is 180° off')],
};
