declare module 'magvar' {
  /** Declination in degrees, east positive; the altitude in kilometres. */
  export function magvar(latitude: number, longitude: number, altitude: number, when: Date): number;
}
