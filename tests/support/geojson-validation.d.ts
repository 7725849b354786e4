/** The package ships no types. Gives true, or with a trace the list of what is wrong. */
declare module 'geojson-validation' {
  export function valid(data: unknown, trace: true): string[];
}
