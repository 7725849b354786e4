/** Deeper than any file of ours or of a map program; written out again, depth multiplies size. */
const DEEPEST = 24;
/** More fields than any of our objects has, with room for those of later versions. */
const MOST_FIELDS = 200;

/** Where a JSON text goes beyond a bound, and which; the column is of the whole text. */
export interface BeyondBound {
  readonly column: number;
  readonly message: string;
}

/**
 * The first place where a JSON text is nested too deep, or an object has too many fields; null
 * when there is none. It looks at brackets and commas alone, before anything is built of the text.
 */
export function beyondBounds(text: string): BeyondBound | null {
  /** For each open bracket: the commas in it, or NaN for a list, which may hold any number. */
  const fields: number[] = [];
  for (let i = 0; i < text.length; i++) {
    switch (text.charCodeAt(i)) {
      case 0x22: // a string, to its end
        i = endOfString(text, i);
        break;
      case 0x5b: // [
      case 0x7b: // {
        fields.push(text[i] === '{' ? 0 : NaN);
        if (fields.length > DEEPEST) {
          return { column: i + 1, message: `nested more than ${DEEPEST} deep` };
        }
        break;
      case 0x5d: // ]
      case 0x7d: // }
        fields.pop();
        break;
      case 0x2c: // ,
        if (++fields[fields.length - 1]! >= MOST_FIELDS) {
          return { column: i + 1, message: `an object of more than ${MOST_FIELDS} fields` };
        }
    }
  }
  return null;
}

/** The closing quotation mark of a string, or the end of the text. */
function endOfString(text: string, start: number): number {
  for (let end = text.indexOf('"', start + 1); end >= 0; end = text.indexOf('"', end + 1)) {
    let escapes = 0;
    while (text[end - 1 - escapes] === '\\') escapes++;
    if (escapes % 2 === 0) return end;
  }
  return text.length;
}
