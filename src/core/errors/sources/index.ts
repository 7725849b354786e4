import { compass } from './compass';
import { declination } from './declination';
import { fineness } from './fineness';
import { following } from './following';
import { iron } from './iron';
import { measured } from './measured';
import { paceLength } from './pace-length';
import { paced } from './paced';
import { slope, slopeReader } from './slope';
import type { ErrorSource } from './source';
import { speed } from './speed';
import { timed } from './timed';

/** Every source of error. A new one is one more file and line here. */
export const ERROR_SOURCES: readonly ErrorSource[] = [
  following,
  fineness,
  compass,
  declination,
  iron,
  paced,
  paceLength,
  measured,
  timed,
  speed,
  slope,
  slopeReader,
];
