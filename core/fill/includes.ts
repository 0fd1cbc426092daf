import { cutTo } from '#core/language';
import {
  FieldSchema,
  fullWordings,
  wordingOnPage,
  notYetIn,
  renameField,
  type Condition,
  type EntryContent,
  type EntryFile,
  type Field,
  type Wording,
} from '#core/entry';
import { isLine, linesOf, type Block, type Inline, type Mark, type Passage } from '#core/passage';

/**
 * So many inlines are put in at the most. Entries that each put in the next one several times would else come to millions,
 * and the page that opens the first of them would hang.
 */
export const MOST_INCLUDED = 20_000;

/** Finds an entry's content by its id; undefined when there is none, or it is not shared with this member. */
export type FindEntry = (id: string) => EntryContent | undefined;

/** A page of others that wording is put into. */
export interface PagePlace {
  /** Its host and path. */
  address: string;
  /** Whether an entry should have a wording of its own for it, as its like have, and has none. */
  isMissing: (entry: string) => boolean;
}

/** Entries within entries go this deep: a ring is refused when it is made, and ends here at the latest. */
const DEEPEST = 8;

// A wording does not change once it is made, and is asked at every filling.
const included = new WeakMap<Wording, readonly string[]>();

/** Ids of the entries that a wording includes, in the order of the text. */
export function includedIn(wording: Wording): readonly string[] {
  let found = included.get(wording);
  if (!found) {
    const inlines = wording.parts.flatMap(({ passage }) => linesOf(passage).flat());
    found = inlines.flatMap((inline) => (inline.type === 'include' ? [inline.attrs.entry] : []));
    included.set(wording, found);
  }
  return found;
}

/** Whether the first wording of an entry has other entries within it. */
export const holdsOthers = ({ wordings: [first] }: Pick<EntryContent, 'wordings'>): boolean =>
  first !== undefined && includedIn(first).length > 0;

/** The wording of an included entry: the one for the page it is put into, else in the language of the one around it, else its first. */
function wordingFor(content: EntryContent, language: string, page?: PagePlace): Wording {
  const onPage = page && wordingOnPage(content, page.address, language);
  if (onPage) return onPage;
  const all = fullWordings(content);
  return all.find((wording) => wording.language === language) ?? all[0]!;
}

const own = (entry: string, id: string) => `${entry}:${id}`;

function ownCondition(entry: string, condition: Condition): Condition {
  if ('of' in condition) return { ...condition, of: condition.of.map((one) => ownCondition(entry, one)) };
  return { ...condition, field: own(entry, condition.field) };
}

const ownMark = (entry: string, mark: Mark): Mark =>
  mark.type === 'when'
    ? { ...mark, attrs: { ...mark.attrs, condition: own(entry, mark.attrs.condition) } }
    : mark;

function ownInline(entry: string, inline: Inline): Inline {
  const marks = inline.marks?.map((mark) => ownMark(entry, mark));
  const marked = marks ? { ...inline, marks } : inline;
  if (marked.type === 'blank')
    return { ...marked, attrs: { ...marked.attrs, field: own(entry, marked.attrs.field) } };
  if (marked.type === 'number')
    return { ...marked, attrs: { ...marked.attrs, id: own(entry, marked.attrs.id) } };
  if (marked.type === 'reference')
    return { ...marked, attrs: { ...marked.attrs, to: own(entry, marked.attrs.to) } };
  return marked;
}

/** A field of an included entry under an id of its own; the ids it names inside itself go along. */
function ownField(entry: string, field: Field): Field {
  const renamed = { ...field, id: own(entry, field.id) };
  if (renamed.kind !== 'computed') return renamed;
  const text = JSON.stringify(renamed.calculation).replace(/"field":"([^"]+)"/g, (_, id: string) =>
    JSON.stringify({ field: own(entry, id) }).slice(1, -1),
  );
  return { ...renamed, calculation: JSON.parse(text) as typeof renamed.calculation };
}

/** Fields of an included entry, those that share a name with one already there renamed: its formulas follow. */
function withOwnNames(entry: string, fields: readonly Field[], taken: ReadonlySet<string>): readonly Field[] {
  const clashing = fields.filter(({ name }) => taken.has(name.toLocaleLowerCase()));
  return clashing.reduce<readonly Field[]>(
    (renamed, { id, name }) => renameField(renamed, id, cutTo(`${name} (${entry})`, 60)),
    fields,
  );
}

/** How large a passage is by itself: its inlines, and each of its lines. */
const ownSize = (passage: Passage): number =>
  linesOf(passage).reduce((sum, line) => sum + line.length + 1, 0);

/** Gathers what included entries bring along besides their words. */
class Gathering {
  readonly fields: Field[];
  readonly conditions: { id: string; when: Condition }[];
  readonly files: EntryFile[];
  /** How many inlines may still be put in. */
  private left = MOST_INCLUDED;

  constructor(
    content: EntryContent,
    private readonly find: FindEntry,
    private readonly language: string,
    private readonly page?: PagePlace,
  ) {
    this.fields = [...content.fields];
    this.conditions = [...(content.conditions ?? [])];
    this.files = [...(content.files ?? [])];
  }

  private bring(entry: string, content: EntryContent): void {
    const have = new Set(this.fields.map(({ id }) => id));
    const names = new Set(this.fields.map(({ name }) => name.toLocaleLowerCase()));
    for (const field of withOwnNames(entry, content.fields, names))
      if (!have.has(own(entry, field.id))) this.fields.push(ownField(entry, field));
    const known = new Set(this.conditions.map(({ id }) => id));
    for (const { id, when } of content.conditions ?? [])
      if (!known.has(own(entry, id)))
        this.conditions.push({ id: own(entry, id), when: ownCondition(entry, when) });
    this.files.push(...notYetIn(this.files, content.files));
  }

  /** What has no wording for the page that it should have is asked for, so that it is no other there. */
  private missing(entry: string, { title }: EntryContent, { address }: PagePlace): Block[] {
    const id = own(entry, 'on-page');
    const [host] = address.split('/');
    if (!this.fields.some((field) => field.id === id)) {
      const names = new Set(this.fields.map(({ name }) => name.toLocaleLowerCase()));
      const question = `How is “${title}” written on ${host}?`;
      const asked = FieldSchema.parse({ kind: 'text', id, name: cutTo(title, 60), question });
      this.fields.push(...withOwnNames(entry, [asked], names));
    }
    const attrs = {
      field: id,
      form: 'as-is',
      placement: null,
      text: '',
      state: 'gap',
      dropped: 'none',
    } as const;
    return [{ type: 'paragraph', content: [{ type: 'blank', attrs }] }];
  }

  /** The words of an included entry as blocks, its own includes resolved; none when it is not to be had. */
  private blocksOf(entry: string, trail: readonly string[]): Block[] {
    const content = this.find(entry);
    if (!content || trail.includes(entry) || trail.length >= DEEPEST) return [];
    if (this.page?.isMissing(entry)) return this.missing(entry, content, this.page);
    const { passage } = wordingFor(content, this.language, this.page).parts.at(-1)!;
    this.left -= ownSize(passage);
    if (this.left < 0) return [];
    this.bring(entry, content);
    return this.inBlocks(
      mapInlines(passage.content, (inline) => ownInline(entry, inline)),
      [...trail, entry],
    );
  }

  inBlocks(blocks: readonly Block[], trail: readonly string[]): Block[] {
    return blocks.flatMap((block): Block[] => {
      if (!isLine(block)) {
        if (!('content' in block)) return [block];
        const content = this.inBlocks(block.content, trail);
        // A list item or a cell whose entry is not to be had still stands, with nothing in it.
        return [{ ...block, content: content.length > 0 ? content : [{ type: 'paragraph' }] }];
      }
      const line = block.content ?? [];
      const [only] = line;
      // Alone on its line an entry comes with its own paragraphs; within a line only its words come.
      if (line.length === 1 && only?.type === 'include') return this.blocksOf(only.attrs.entry, trail);
      if (!line.some(({ type }) => type === 'include')) return [block];
      return [{ ...block, content: line.flatMap((inline) => this.inLine(inline, trail)) }];
    });
  }

  private inLine(inline: Inline, trail: readonly string[]): Inline[] {
    if (inline.type !== 'include') return [inline];
    const lines = linesOf({ type: 'doc', content: this.blocksOf(inline.attrs.entry, trail) });
    return lines.flatMap((line, at) => (at === 0 ? [...line] : [{ type: 'text', text: ' ' }, ...line]));
  }
}

function mapInlines(blocks: readonly Block[], change: (inline: Inline) => Inline): Block[] {
  return blocks.map((block): Block => {
    if (isLine(block)) return { ...block, content: (block.content ?? []).map(change) };
    return 'content' in block ? { ...block, content: mapInlines(block.content, change) } : block;
  });
}

/**
 * An entry with the entries it includes put in: their words at their place, their fields and conditions beside its
 * own, under ids of their own, and their files. Of each the wording in the same language is taken, and of that the last part. An entry
 * that cannot be found, or stands in a ring, brings nothing; on a page of others the wording for it is taken first. The same content
 * where nothing is included.
 */
export function withIncludes(
  content: EntryContent,
  wording: Wording,
  find: FindEntry,
  page?: PagePlace,
): EntryContent {
  if (includedIn(wording).length === 0) return content;
  const gathering = new Gathering(content, find, wording.language, page);
  const parts = wording.parts.map((part) => {
    const blocks = gathering.inBlocks(part.passage.content, []);
    const passage: Passage = { type: 'doc', content: blocks.length ? blocks : [{ type: 'paragraph' }] };
    return { ...part, passage };
  });
  const { fields, conditions, files } = gathering;
  const wordings = content.wordings.map((one) => (one === wording ? { ...wording, parts } : one));
  return { ...content, fields, conditions, wordings, ...(files.length > 0 && { files }) };
}

/**
 * How many inlines and lines the largest wording of an entry comes to with all that it includes; what is over MOST_INCLUDED is
 * not put in. Infinity for a ring. Each entry is looked at once, however often it stands in others.
 */
export function includedSize(content: EntryContent, find: FindEntry): number {
  const known = new Map<string, number>();
  const sizeOf = (held: EntryContent): number =>
    Math.max(
      0,
      ...held.wordings.map((wording) => {
        const own = wording.parts.reduce((sum, { passage }) => sum + ownSize(passage), 0);
        return includedIn(wording).reduce((sum, id) => sum + within(id), own);
      }),
    );
  const within = (id: string): number => {
    const before = known.get(id);
    if (before !== undefined) return before;
    known.set(id, Infinity);
    const held = find(id);
    const size = held ? sizeOf(held) : 0;
    known.set(id, size);
    return size;
  };
  return sizeOf(content);
}

/** The contents that an entry includes, at any depth, by their ids: all that filling it may have to find. */
export function contentsWithin(content: EntryContent, find: FindEntry): Record<string, EntryContent> {
  const within: Record<string, EntryContent> = {};
  const gather = (held: EntryContent) => {
    for (const id of held.wordings.flatMap(includedIn)) {
      const next = within[id] ? undefined : find(id);
      if (!next) continue;
      within[id] = next;
      gather(next);
    }
  };
  gather(content);
  return within;
}

/**
 * The ring that an entry with this content would close, as ids from itself to itself again; null when there is none.
 * The way of the first entry found twice is told (depth first).
 */
export function ringOf(id: string, content: EntryContent, find: FindEntry): string[] | null {
  const visited = new Set<string>();
  const walk = (entry: string, trail: readonly string[]): string[] | null => {
    if (entry === id && trail.length > 0) return [...trail, entry];
    if (visited.has(entry)) return null;
    visited.add(entry);
    const held = entry === id ? content : find(entry);
    for (const next of held?.wordings.flatMap(includedIn) ?? []) {
      const ring = walk(next, [...trail, entry]);
      if (ring) return ring;
    }
    return null;
  };
  return walk(id, []);
}

/** The content with each entry within it called by another id; those that come to be null are taken out of the text. */
export function renamedIncludes(content: EntryContent, nameOf: (id: string) => string | null): EntryContent {
  const inLine = (inline: Inline): Inline[] => {
    if (inline.type !== 'include') return [inline];
    const entry = nameOf(inline.attrs.entry);
    return entry === null ? [] : [{ ...inline, attrs: { ...inline.attrs, entry } }];
  };
  const inBlocks = (blocks: readonly Block[]): Block[] =>
    blocks.map((block): Block => {
      if (isLine(block)) return block.content ? { ...block, content: block.content.flatMap(inLine) } : block;
      return 'content' in block ? { ...block, content: inBlocks(block.content) } : block;
    });
  if (content.wordings.every((wording) => includedIn(wording).length === 0)) return content;
  const wordings = content.wordings.map((wording) => ({
    ...wording,
    parts: wording.parts.map((part) => ({
      ...part,
      passage: { ...part.passage, content: inBlocks(part.passage.content) },
    })),
  }));
  return { ...content, wordings };
}
