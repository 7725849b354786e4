import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';

/** An element: attributes under `@name`, text under `#text`, children in lists. */
export type XmlNode = Readonly<Record<string, unknown>>;

/** A map file larger than this is refused, in characters. */
const LARGEST_XML = 16_000_000;
/** Deeper than any map file; a file of nothing but opening tags stops here. */
const DEEPEST = 64;

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  removeNSPrefix: true,
  parseTagValue: false,
  parseAttributeValue: false,
  alwaysCreateTextNode: true,
  maxNestedTags: DEEPEST,
  // Numeric references as well: a name such as `Sk&#229;l` is common.
  htmlEntities: true,
  isArray: (_name, _path, _leaf, isAttribute) => !isAttribute,
});

/**
 * Reads XML into a tree. Refuses a document type and entities of its own before anything is parsed:
 * with them a small file can name other files, or grow past every limit.
 */
export function readXml(text: string): Result<XmlNode, FileFault[]> {
  if (text.length > LARGEST_XML) {
    return fail([fileFault(`A map file of more than ${LARGEST_XML / 1_000_000} MB is not read.`)]);
  }
  const declared = /<!\s*(DOCTYPE|ENTITY|ELEMENT|ATTLIST)/i.exec(text);
  if (declared) {
    const line = text.slice(0, declared.index).split('\n').length;
    const message = 'This file declares a document type or entities, which are not read.';
    return fail([fileFault(message, { line, column: 1 })]);
  }
  if (!text.trimStart().startsWith('<')) {
    return fail([fileFault('This file is not GPX or GeoJSON. For a table, choose CSV.')]);
  }
  try {
    const valid = XMLValidator.validate(text);
    if (valid !== true) {
      const { msg, line, col } = valid.err;
      return fail([fileFault(`This file is damaged: ${msg}`, { line, column: col })]);
    }
    return ok(parser.parse(text) as XmlNode);
  } catch {
    // The parser throws on nesting that is too deep, and on names that would reach into objects.
    return fail([fileFault('This file is damaged, or nested too deeply.')]);
  }
}

/** The children of a node by a name. */
export const children = (node: XmlNode, name: string): readonly XmlNode[] => {
  const found = Object.hasOwn(node, name) ? node[name] : [];
  return Array.isArray(found)
    ? (found as XmlNode[]).filter((each) => typeof each === 'object')
    : [];
};

/** The text in the first child of a name; empty when there is none. */
export const childText = (node: XmlNode, name: string): string => {
  const text = children(node, name)[0]?.['#text'];
  return typeof text === 'string' ? text.trim() : '';
};

/** The text of an attribute; null when it is not there. */
export const attribute = (node: XmlNode, name: string): string | null => {
  const value = Object.hasOwn(node, `@${name}`) ? node[`@${name}`] : null;
  return typeof value === 'string' ? value : null;
};
