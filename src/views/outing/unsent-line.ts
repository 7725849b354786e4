import { keepTyped } from '@/store/keep-choice';
import { keepCopy, keptChoice, keptNow, type Kept } from '@/store/kept-choice';

/** The line that is typed but not logged, kept for after a reload: one an outing. */
const keyOf = (outing: string) => `cairn-line-${outing}`;

/** The line that was typed last and not logged: this tab's own, else the last of any tab. */
export const unsentLine = (outing: string): string =>
  keptChoice(keyOf(outing), 'tab') ?? keptChoice(keyOf(outing)) ?? '';

/** Keeps the line that is being typed, or forgets it once it is empty. */
export function keepUnsentLine(outing: string, text: string): void {
  // Two tabs may hold a line each: a reload gives each its own back.
  keepCopy(keyOf(outing), text, 'tab');
  keepTyped(keyOf(outing), text === '' ? null : text);
}

/** That there is no such line any more: written with the line as it is logged. */
export const lineForgotten = (outing: string): Kept => keptNow(keyOf(outing), null);
