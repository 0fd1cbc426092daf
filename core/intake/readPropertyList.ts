import { SaxesParser } from 'saxes';

/** Why a property list cannot be read, in words. */
export class NotPropertyList extends Error {}

type Open =
  | { kind: 'array'; items: unknown[] }
  | { kind: 'dict'; items: Record<string, unknown>; key: string };

/**
 * The data of an XML property list: arrays, dictionaries, words, numbers, yes and no. Entities of a document type are not known, so that a
 * small file cannot be made to unfold. Throws a NotPropertyList.
 */
export function readPropertyList(source: string): unknown {
  const parser = new SaxesParser({ xmlns: false });
  const open: Open[] = [];
  let words = '';
  let root: unknown;
  const put = (value: unknown) => {
    const around = open.at(-1);
    if (!around) root = value;
    else if (around.kind === 'array') around.items.push(value);
    else around.items[around.key] = value;
  };
  parser.on('error', ({ message }) => {
    throw new NotPropertyList(message);
  });
  parser.on('opentag', ({ name }) => {
    words = '';
    if (name === 'array') open.push({ kind: 'array', items: [] });
    else if (name === 'dict')
      open.push({ kind: 'dict', items: Object.create(null) as Record<string, unknown>, key: '' });
    if (open.length > 40) throw new NotPropertyList('it is nested too deeply');
  });
  parser.on('text', (text) => (words += text));
  parser.on('cdata', (text) => (words += text));
  parser.on('closetag', ({ name }) => {
    const around = open.at(-1);
    if (name === 'key' && around?.kind === 'dict') around.key = words;
    else if (name === 'array' || name === 'dict') put(open.pop()!.items);
    else if (name === 'true' || name === 'false') put(name === 'true');
    else if (name === 'integer' || name === 'real') put(Number(words));
    else if (name === 'string' || name === 'date') put(words);
    words = '';
  });
  parser.write(source).close();
  if (root === undefined) throw new NotPropertyList('there is nothing in it');
  return root;
}
