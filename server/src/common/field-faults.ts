import { faultMessage, faultOf, type Fault, type FaultCode } from '@soft-lark/core';

/** What a decorator says where a field does not keep to it: in English, and by code for a page. */
export interface FieldFault {
  readonly message: string;
  readonly context: Readonly<Record<string, unknown>>;
}

/** @param more what else is to be known of the field */
export function refusedBy(
  code: FaultCode,
  values?: Fault['values'],
  more: Readonly<Record<string, unknown>> = {},
): FieldFault {
  const fault = faultOf(code, values);
  return { message: faultMessage(fault), context: { ...more, fault } };
}

/** The fault that stands in the context of a decorator. */
export function faultIn(context: unknown): Fault {
  const isOne = typeof context === 'object' && context !== null && 'fault' in context;
  return isOne ? (context.fault as Fault) : faultOf('not-complete');
}
