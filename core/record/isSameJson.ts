/** Whether two values of a record are the same, whatever the order of their keys; what is left out is as good as null. */
export function isSameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  const [left, right] = [a ?? null, b ?? null];
  if (left === null || right === null || typeof left !== 'object' || typeof right !== 'object')
    return left === right;
  const keys = new Set([...Object.keys(left), ...Object.keys(right)]);
  return [...keys].every((key) =>
    isSameJson((left as Record<string, unknown>)[key], (right as Record<string, unknown>)[key]),
  );
}
