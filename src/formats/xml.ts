import { visibleText } from '../core/units/visible';
import { XMLBuilder } from 'fast-xml-parser';

/** An element in the order-keeping form of the builder: its name, its children, attributes. */
export type XmlElement = Readonly<Record<string, unknown>>;
type Child = XmlElement | string | null;

/** What XML 1.0 can't hold, not even escaped: controls, lone surrogates, two non-characters. */
const ILLEGAL = new RegExp(
  '[\\u0000-\\u0008\\u000B\\u000C\\u000E-\\u001F\\uFFFE\\uFFFF]|' +
    '[\\uD800-\\uDBFF](?![\\uDC00-\\uDFFF])|(?<![\\uD800-\\uDBFF])[\\uDC00-\\uDFFF]',
  'g',
);
/** A bare carriage return would be read back as a line break. */
const legal = (text: string) => visibleText(text.replace(ILLEGAL, '\uFFFD').replace(/\r/g, ' '));

/** An element with attributes and children; strings are text, and nulls are left out. */
export function xmlElement(
  name: string,
  attributes: Readonly<Record<string, string | number | undefined>>,
  ...children: readonly Child[]
): XmlElement {
  const given = Object.entries(attributes).filter(([, value]) => value !== undefined);
  return {
    [name]: children
      .filter((child) => child !== null)
      .map((child) => (typeof child === 'string' ? { '#text': legal(child) } : child)),
    ':@': Object.fromEntries(given.map(([key, value]) => [key, legal(String(value))])),
  };
}

/** An element with text in it; null where there is no text. */
export const xmlText = (name: string, text: string | undefined): XmlElement | null =>
  text === undefined || text === '' ? null : xmlElement(name, {}, text);

const builder = new XMLBuilder({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  suppressEmptyNode: true,
  suppressBooleanAttributes: false,
});

/** A root element as a text, with the XML declaration unless it is left out. */
export function writeXml(root: XmlElement, { declaration = true } = {}): string {
  const body = builder.build([root]) as string;
  return `${declaration ? '<?xml version="1.0" encoding="UTF-8"?>\n' : ''}${body}\n`;
}
