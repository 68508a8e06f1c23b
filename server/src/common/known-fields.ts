import { faultOf } from '@soft-lark/core';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { getMetadataStorage } from 'class-validator';
import { fieldProblem, type FieldProblem } from './problem.ts';
import { firstFaults, shapeIn, type CoreSchema } from './shapes.ts';

type Class = abstract new (...parts: never[]) => object;

/** What the package really gives: nothing for a field that is no part. */
interface Part {
  readonly typeFunction: () => Class;
}

interface Known {
  readonly names: ReadonlySet<string>;
  readonly partOf: (name: string) => Class | undefined;
  /** Fields that a schema of the core describes. */
  readonly shapes: ReadonlyMap<string, CoreSchema>;
}

const known = new Map<Class, Known>();

/** The fields a request class has, and the classes of its parts, as its decorators tell. */
function knownOf(type: Class): Known {
  const before = known.get(type);
  if (before) return before;
  const rules = getMetadataStorage().getTargetValidationMetadatas(type, '', false, false);
  const read: Known = {
    names: new Set(rules.map(({ propertyName }) => propertyName)),
    shapes: new Map(
      rules.flatMap(({ propertyName, context }) => {
        const schema = shapeIn(context);
        return schema ? [[propertyName, schema] as const] : [];
      }),
    ),
    partOf: (name) =>
      (defaultMetadataStorage.findTypeMetadata(type, name) as unknown as Part | undefined)?.typeFunction(),
  };
  known.set(type, read);
  return read;
}

/**
 * The first faults of a body: fields that its request class does not have, and what a schema of the core refuses. They
 * are looked for before each field is checked by every rule: a list of a thousand entries with forty unknown fields each
 * would hold everybody else up.
 *
 * @param most how many are told
 */
export function firstFaultsOf(body: unknown, type: Class, most: number, path = ''): readonly FieldProblem[] {
  if (typeof body !== 'object' || body === null) return [];
  const { names, partOf, shapes } = knownOf(type);
  const found: FieldProblem[] = [];
  for (const [name, value] of Object.entries(body)) {
    if (found.length >= most) break;
    const field = path + name;
    if (!names.has(name)) {
      found.push(fieldProblem(field, faultOf('unknown')));
      continue;
    }
    const shape = shapes.get(name);
    if (shape) found.push(...firstFaults(value, shape, field, most - found.length));
    const part = partOf(name);
    if (!part) continue;
    const entries = Array.isArray(value)
      ? value.map((one: unknown, index) => [`${field}.${String(index)}.`, one] as const)
      : [[`${field}.`, value] as const];
    for (const [at, one] of entries) found.push(...firstFaultsOf(one, part, most - found.length, at));
  }
  return found;
}
