/** What XML 1.0 can't hold at all, not even escaped: control characters, lone surrogates, and two non-characters. */
const ILLEGAL =
  /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;

const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&apos;',
  '\r': '&#13;',
};

/** A text as it stands in XML, between tags or in quotes: whatever it holds, it stays text. */
export const xmlText = (text: string): string =>
  text.replace(ILLEGAL, '\uFFFD').replace(/[&<>"'\r]/g, (character) => ENTITIES[character]!);

/** An element with text in it; nothing where there is no text. */
export const xmlElement = (name: string, text: string | undefined): string =>
  text === undefined || text === '' ? '' : `<${name}>${xmlText(text)}</${name}>`;
