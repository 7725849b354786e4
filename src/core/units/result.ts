/** What every fallible function of the core returns: a value, or the reason why there is none. */
export type Result<Value, Reason> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly fault: Reason };

export const ok = <Value>(value: Value): { readonly ok: true; readonly value: Value } => ({
  ok: true,
  value,
});

export const fail = <Reason>(fault: Reason): { readonly ok: false; readonly fault: Reason } => ({
  ok: false,
  fault,
});
