import type { Light } from './light-script';

/** The colours of charts by light, from the page's own variables: a canvas can't take them by name. */
export function chartColours(light: Light) {
  const styles = getComputedStyle(document.documentElement);
  // While the page still carries another light, its colours are read again when it changes.
  void light;
  const of = (name: string) => styles.getPropertyValue(name).trim();
  return {
    ink: of('--ink'),
    rule: of('--rule'),
    rowan: of('--rowan'),
    rest: of('--rest'),
    band: `${of('--rest')}55`,
  };
}
