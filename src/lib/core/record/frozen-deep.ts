/** A value that is shared, and everything in it, so that whoever would change it for all is told at once. */
export function frozenDeep<Value>(value: Value): Value {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    for (const each of Object.values(value)) frozenDeep(each);
  }
  return value;
}
