import type { LineFormSpec } from '../entry/line-forms';

/** Several lines at once, to look at before they are logged. */
interface PastedLines {
  readonly pasted: string;
}

/** What is over the outing view: a dialog by its name, or the form of a kind of line. */
export type Dialog =
  | 'form'
  | 'settings'
  | 'rename'
  | 'ends'
  | 'palette'
  | 'history'
  | 'shortcuts'
  | 'reversed'
  | LineFormSpec
  | PastedLines
  | null;
