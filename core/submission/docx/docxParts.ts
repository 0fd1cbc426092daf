import { scanXml } from '../scanXml';
import { RELATIONS } from './wordNames';

/** The XML parts of a docx by their names in the archive ("word/document.xml"), as text. */
export type DocxParts = ReadonlyMap<string, string>;

/** A file that is no docx, or one that cannot be read as one, with what is wrong. */
export class NotDocx extends Error {}

/** How parts of a docx are related. */
export interface Relation {
  id: string;
  type: string;
  target: string;
}

/** Where the relations of a part are told: beside it, in a folder of their own. */
export const relationsOf = (part: string): string => part.replace(/([^/]*)$/, '_rels/$1.rels');

/** The relations that a part has; none where it has none. Targets are names in the archive. */
export function relationsIn(parts: DocxParts, part: string): Relation[] {
  const source = parts.get(relationsOf(part));
  const found: Relation[] = [];
  if (source === undefined) return found;
  const folder = part.includes('/') ? part.replace(/[^/]*$/, '') : '';
  scanXml(source, {
    open: ({ name, attr }) => {
      if (name !== 'Relationship' || attr('TargetMode') === 'External') return;
      const target = attr('Target') ?? '';
      const whole = target.startsWith('/') ? target.slice(1) : folder + target.replace(/^\.\//, '');
      found.push({ id: attr('Id') ?? '', type: attr('Type') ?? '', target: whole });
    },
    close: () => undefined,
    text: () => undefined,
  });
  return found;
}

const isOf =
  (kind: string) =>
  ({ type }: Relation) =>
    RELATIONS.some((base) => type === `${base}/${kind}`);

/** The names of the parts that a docx's words stand in, and of those that say how; null for one that it does not have. */
export interface WordParts {
  document: string;
  styles: string | null;
  numbering: string | null;
  footnotes: string | null;
  endnotes: string | null;
  comments: string | null;
}

/** Finds the parts that words stand in. Throws a NotDocx where there is no text. */
export function wordPartsOf(parts: DocxParts): WordParts {
  const document = relationsIn(parts, '').find(isOf('officeDocument'))?.target;
  if (document === undefined || !parts.has(document))
    throw new NotDocx('it holds no text of a Word document');
  const relations = relationsIn(parts, document);
  const one = (kind: string) => {
    const target = relations.find(isOf(kind))?.target;
    return target !== undefined && parts.has(target) ? target : null;
  };
  return {
    document,
    styles: one('styles'),
    numbering: one('numbering'),
    footnotes: one('footnotes'),
    endnotes: one('endnotes'),
    comments: one('comments'),
  };
}
