import { z } from 'zod';
import { CollectionFileSchema } from '#core/takeover';

let made: Record<string, unknown> | undefined;

/** The JSON Schema (2020-12) of a file of collections. It is also shipped, as `docs/formats/collection.schema.json`. */
export function collectionFormat(): Record<string, unknown> {
  made ??= {
    title: 'A file of Elderleaf collections',
    description: 'Collections with their settings and entries, as one team gives them to another.',
    ...z.toJSONSchema(CollectionFileSchema, { io: 'input', unrepresentable: 'any' }),
  };
  return made;
}
