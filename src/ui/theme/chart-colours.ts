import type { Theme } from './theme-script';

/** The colours of charts in a theme, from the page's variables: a canvas can't use their names. */
export function chartColours(_theme: Theme) {
  const styles = getComputedStyle(document.documentElement);
  const of = (name: string) => styles.getPropertyValue(name).trim();
  return {
    ink: of('--ink'),
    rule: of('--rule'),
    rowan: of('--rowan'),
    rest: of('--rest'),
    band: `${of('--rest')}55`,
  };
}
