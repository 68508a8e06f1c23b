import { faultOf } from '@soft-lark/core';
import { fieldProblem, type FieldProblem } from './problem.ts';

/** A zero byte, and half of a character: PostgreSQL keeps neither. */
const CANNOT_BE_KEPT = /[\0\p{Cs}]/u;

/** House choice: nothing that is sent is nested half as deep; what reads a body recursively must come to an end. */
const MOST_DEPTH = 40;

/** House choice: no object that is sent has so many fields, no body so many values; a full run of an hour has 20,000. */
const MOST_FIELDS = 400;
const MOST_VALUES = 40_000;

/** What no field could tell of itself: text that cannot be kept, and a body without end. Stops at the first fault. */
export class BodyReading {
  private values = 0;
  private readonly mostValues: number;

  constructor(mostValues = MOST_VALUES) {
    this.mostValues = mostValues;
  }

  fault(value: unknown, path: string, depth = 0): FieldProblem | null {
    this.values += 1;
    const told = path.split('.')[0] ?? '';
    if (this.values > this.mostValues) return fieldProblem(told, faultOf('too-much'));
    if (typeof value === 'string') return CANNOT_BE_KEPT.test(value) ? fieldProblem(path, faultOf('not-kept')) : null;
    if (typeof value !== 'object' || value === null) return null;
    if (depth === MOST_DEPTH) return fieldProblem(told, faultOf('too-deep'));
    const names = Object.keys(value);
    if (!Array.isArray(value) && names.length > MOST_FIELDS) return fieldProblem(path, faultOf('too-many-fields'));
    for (const name of names) {
      const inner = path ? `${path}.${name}` : name;
      const found = CANNOT_BE_KEPT.test(name)
        ? fieldProblem(path, faultOf('not-kept'))
        : this.fault((value as Record<string, unknown>)[name], inner, depth + 1);
      if (found) return found;
    }
    return null;
  }
}
