import {
  fieldUses,
  nestedBlanks,
  nestedWordsOf,
  type EntryContent,
  type Part,
  type Wording,
} from '#core/entry';
import { linesOf, type BlankForm, type Inline, type Line } from '#core/passage';
import { besideBlanks } from './besideBlanks';
import type { Doubt, FoundDoubt } from './doubt';
import { overlappingOptions } from './overlappingOptions';

function unusedFields(content: EntryContent): Doubt[] {
  const uses = fieldUses(content);
  return content.fields.flatMap(({ id, name }): Doubt[] => {
    const { blanks, elsewhere } = uses.get(id)!;
    if (blanks + elsewhere > 0) return [];
    return [{ code: 'unused-field', message: `Nothing uses the field “${name}”.`, place: { field: id } }];
  });
}

function overlaps({ fields }: EntryContent): Doubt[] {
  return fields.flatMap((field) =>
    field.kind !== 'choice'
      ? []
      : overlappingOptions(field).map(([one, other]): Doubt => ({
          code: 'overlapping-options',
          message: `Options of “${field.name}” overlap: “${one}” and “${other}”.`,
          place: { field: field.id },
        })),
  );
}

function unknownNested({ fields }: EntryContent): Doubt[] {
  const known = new Set(fields.flatMap(({ id, name }) => [id, name.toLocaleLowerCase()]));
  return fields.flatMap((field) =>
    nestedWordsOf(field).flatMap(({ words }) =>
      nestedBlanks(words).flatMap((piece): Doubt[] => {
        if (!('field' in piece) || known.has(piece.field) || known.has(piece.field.toLocaleLowerCase()))
          return [];
        const message = `Words of “${field.name}” name {${piece.field}}, which is not a field: readers would see the braces.`;
        return [{ code: 'unknown-nested', message, place: { field: field.id } }];
      }),
    ),
  );
}

const fieldsIn = (wording: Wording): Set<string> =>
  new Set(
    wording.parts
      .flatMap(({ passage }) => linesOf(passage).flat())
      .flatMap((inline) => (inline.type === 'blank' ? [inline.attrs.field] : [])),
  );

/** What one wording of several says and another does not. */
function missing({ wordings, fields }: EntryContent): Doubt[] {
  if (wordings.length < 2) return [];
  const all = wordings.map(fieldsIn);
  const parts = new Set(wordings.flatMap((wording) => wording.parts.map(({ name }) => name)));
  return wordings.flatMap((wording, at) => {
    // Alternates belong to their language: each wording has its own.
    const absent = fields.filter(
      ({ id, kind }) => kind !== 'alternates' && !all[at]!.has(id) && all.some((some) => some.has(id)),
    );
    const own = new Set(wording.parts.map(({ name }) => name));
    return [
      ...absent.map(({ name }): Doubt => ({
        code: 'missing-in-wording',
        message: `“${wording.name}” has no blank for “${name}”, which another wording has.`,
        place: { wording: wording.id },
      })),
      ...[...parts]
        .filter((name) => !own.has(name))
        .map((name): Doubt => ({
          code: 'missing-part',
          message: `“${wording.name}” has no part “${name}”, which another wording has.`,
          place: { wording: wording.id },
        })),
    ];
  });
}

const sizeOf = (inline: Inline): number => (inline.type === 'text' ? inline.text.length : 1);

const isBold = (inline: Inline | undefined) => inline?.marks?.some(({ type }) => type === 'bold') ?? false;

/** Forms that make blocks of their own. */
const STAND_ALONE: ReadonlySet<BlankForm> = new Set(['bullets', 'table']);

/** Spaces doubled within a line, and bold that reaches over the space beside its words. */
function inLine(line: Line): FoundDoubt[] {
  const found: FoundDoubt[] = [];
  let at = 0;
  line.forEach((inline, index) => {
    const from = at;
    at += sizeOf(inline);
    if (inline.type === 'blank' && line.length > 1 && STAND_ALONE.has(inline.attrs.form)) {
      const message = 'Bullets and tables are placed only where the blank is alone on its line.';
      found.push({ code: 'not-alone', message, from, to: at });
    }
    if (inline.type !== 'text') return;
    for (const match of inline.text.matchAll(/ {2,}/g)) {
      const start = from + match.index;
      const message = 'There are two spaces in a row; one is placed.';
      found.push({ code: 'doubled-space', message, from: start, to: start + match[0].length });
    }
    if (!isBold(inline)) return;
    const leads = !isBold(line[index - 1]) && index > 0 && /^\s/.test(inline.text);
    const trails = !isBold(line[index + 1]) && /\s$/.test(inline.text);
    const message = 'The bold reaches over the space beside its words.';
    if (leads) found.push({ code: 'leaking-mark', message, from, to: from + 1 });
    if (trails) found.push({ code: 'leaking-mark', message, from: at - 1, to: at });
  });
  return found;
}

/** References whose number is not in the wording, and numbers that share an id, so that references could mean either. */
function numbering(part: Part): { lost: Set<string>; twice: Set<string> } {
  const inlines = linesOf(part.passage).flat();
  const ids = inlines.flatMap((inline) => (inline.type === 'number' ? [inline.attrs.id] : []));
  const to = inlines.flatMap((inline) => (inline.type === 'reference' ? [inline.attrs.to] : []));
  return {
    lost: new Set(to.filter((id) => !ids.includes(id))),
    twice: new Set(ids.filter((id, at) => id !== '' && ids.indexOf(id) < at)),
  };
}

function numbersInLine(line: Line, { lost, twice }: ReturnType<typeof numbering>): FoundDoubt[] {
  let at = 0;
  return line.flatMap((inline): FoundDoubt[] => {
    const from = at;
    at += sizeOf(inline);
    if (inline.type === 'reference' && lost.has(inline.attrs.to))
      return [{ code: 'lost-reference', message: 'This refers to a number that is not here.', from, to: at }];
    if (inline.type === 'number' && twice.has(inline.attrs.id))
      return [
        {
          code: 'number-id-twice',
          message: 'Two numbers share an id: references mean the first.',
          from,
          to: at,
        },
      ];
    return [];
  });
}

function inParts(content: EntryContent): Doubt[] {
  const fields = new Map(content.fields.map((field) => [field.id, field]));
  return content.wordings.flatMap((wording) =>
    wording.parts.flatMap((part) => {
      const numbers = numbering(part);
      return linesOf(part.passage).flatMap((line, index) => {
        const found = [
          ...inLine(line),
          ...numbersInLine(line, numbers),
          ...besideBlanks(line, wording, fields),
        ];
        // Once for a line, however many doubts there are in it.
        const text =
          found.length === 0
            ? ''
            : line.map((inline) => (inline.type === 'text' ? inline.text : '_')).join('');
        return found.map(({ code, message, from, to }): Doubt => ({
          code,
          message: `${message} “${around(text, from)}”${content.wordings.length > 1 ? `, in “${wording.name}”` : ''}`,
          place: { wording: wording.id, part: part.id, line: index, from, to },
        }));
      });
    }),
  );
}

/** Words around a place, to know it by; each blank or other node is one sign, as the offsets count it. */
function around(text: string, at: number): string {
  const words = text.slice(Math.max(0, at - 16), at + 16).trim();
  return `${at > 16 ? '…' : ''}${words}${at + 16 < text.length ? '…' : ''}`;
}

/** All that is doubtful about an entry, without filling it: fields, options, wordings, spaces, marks, numbers. */
export const doubtsOf = (content: EntryContent): Doubt[] => [
  ...unusedFields(content),
  ...overlaps(content),
  ...unknownNested(content),
  ...missing(content),
  ...inParts(content),
];
