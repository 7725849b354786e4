import { IN_ENGLISH } from '../../core/readings/in-english';
import * as z from 'zod/mini';
import { $ZodError } from 'zod/v4/core';

/**
 * Checks data by a schema and stops after so many faults. Zod collects the faults of a whole list,
 * which for a long list of nonsense takes seconds and overflows the stack; here lists are read item
 * by item, and those in objects as well. Gives the data as the schema gives it.
 */
export function boundedParse<Schema extends z.ZodMiniType>(
  schema: Schema,
  data: unknown,
  mostFaults: number,
): z.core.util.SafeParseResult<z.output<Schema>> {
  const issues: z.core.$ZodIssue[] = [];
  const value = parsed(schema, data, [], { issues, mostFaults });
  return issues.length > 0
    ? { success: false, error: new $ZodError(issues) as never }
    : { success: true, data: value as z.output<Schema> };
}

interface Collected {
  readonly issues: z.core.$ZodIssue[];
  readonly mostFaults: number;
}

function parsed(
  schema: z.core.$ZodType,
  data: unknown,
  path: PropertyKey[],
  to: Collected,
): unknown {
  if (schema instanceof z.ZodMiniArray && isPlain(schema) && Array.isArray(data)) {
    const items: unknown[] = [];
    for (const [index, item] of data.entries()) {
      if (to.issues.length >= to.mostFaults) break;
      items.push(parsed(schema._zod.def.element, item, [...path, index], to));
    }
    return items;
  }
  if (schema instanceof z.ZodMiniObject && isPlain(schema) && isObject(data)) {
    return parsedObject(schema, data, path, to);
  }
  return whole(schema, data, path, to);
}

/** What a schema makes of data as a whole; undefined with its faults noted. */
function whole(schema: z.core.$ZodType, data: unknown, path: PropertyKey[], to: Collected) {
  const result = z.safeParse(schema, data, IN_ENGLISH);
  if (result.success) return result.data;
  for (const issue of result.error.issues.slice(0, to.mostFaults - to.issues.length)) {
    to.issues.push({ ...issue, path: [...path, ...issue.path] });
  }
  return undefined;
}

/** An object: its lists one by one, and the rest as one, with the lists empty. */
function parsedObject(
  schema: z.ZodMiniObject,
  data: Record<string, unknown>,
  path: PropertyKey[],
  to: Collected,
): unknown {
  const lists = Object.entries(schema.shape).filter(
    ([key, field]) => field instanceof z.ZodMiniArray && isPlain(field) && Array.isArray(data[key]),
  );
  const short = { ...data, ...Object.fromEntries(lists.map(([key]) => [key, []])) };
  const rest = whole(schema, short, path, to) as object | undefined;
  const read = Object.fromEntries(
    lists.map(([key, field]) => [key, parsed(field, data[key], [...path, key], to)]),
  );
  return rest && { ...rest, ...read };
}

/** Lists and objects with a rule about the whole are checked as a whole. */
const isPlain = (schema: z.core.$ZodType) => (schema._zod.def.checks ?? []).length === 0;

const isObject = (data: unknown): data is Record<string, unknown> =>
  typeof data === 'object' && data !== null && !Array.isArray(data);
