/** The same value as a store of JSON gives it back: other objects, their keys in another order. */
export const turned = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(turned)
    : value && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .reverse()
            .map(([key, inner]) => [key, turned(inner)]),
        )
      : value;
