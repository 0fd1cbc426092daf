import type { EntryContent, Field } from '#core/entry';
import { linesOf, plainText, type Block, type Passage } from '#core/passage';

/** Where blocks stand that several entries have: at the beginning of their text, or at its end. */
export type EndKind = 'opening' | 'closing';

/** An entry as it is compared, and the collection it is kept in: pieces are shared within one. */
export interface Whole {
  id: string;
  collection: string;
  content: EntryContent;
}

/** One of the texts of an entry that has the blocks. */
export interface EndAt {
  entry: string;
  wording: string;
  part: string;
}

/** Blocks that several entries begin or end with. */
export interface SharedEnd {
  kind: EndKind;
  collection: string;
  language: string;
  /** The blocks, as the first of the entries has them, with the fields that they need. */
  blocks: Block[];
  fields: Field[];
  at: EndAt[];
  /** An entry that says just this already, and can be put into the others; null where one must be made. */
  piece: string | null;
}

interface Text extends EndAt {
  blocks: readonly Block[];
  /** What each block is known by, from the end that is looked at inwards; up to the first that cannot be shared. */
  keys: readonly string[];
  content: EntryContent;
}

/** So many entries make it worth a piece of their own. */
const AT_LEAST = 3;
/** Openings and closings are short: further in nobody shares all blocks by chance. */
const DEEPEST = 4;
const FEWEST_LETTERS = 4;

/** What a field is, whatever its id; null for one that is asked for, which the rest of the entry may ask as well. */
const knownField = (field: Field | undefined): string | null =>
  field?.kind === 'detail' ? JSON.stringify([field.path, field.name]) : null;

/** What a block says, the same for every entry that says it; null where it cannot stand in an entry of its own. */
function keyOf(block: Block, fields: readonly Field[]): string | null {
  let isFree = true;
  const key = JSON.stringify(block, (name, value: unknown) => {
    if (typeof value !== 'object' || value === null || !('type' in value)) return value;
    const { type, attrs } = value as { type: string; attrs?: Record<string, unknown> };
    if (
      ['include', 'number', 'reference', 'caretMark', 'timeCode', 'when', 'confirm', 'table'].includes(type)
    )
      isFree = false;
    if (type !== 'blank') return value;
    const known = knownField(fields.find(({ id }) => id === attrs!.field));
    if (known === null) isFree = false;
    return { ...value, attrs: { ...attrs, field: known } };
  });
  return isFree ? key : null;
}

function textsOf({ id, content }: Whole, kind: EndKind): Text[] {
  return content.wordings.flatMap((wording) => {
    const part = wording.parts.at(-1)!;
    const blocks = part.passage.content;
    const inwards = kind === 'opening' ? blocks : [...blocks].reverse();
    const keys: string[] = [];
    for (const block of inwards.slice(0, DEEPEST)) {
      const key = keyOf(block, content.fields);
      if (key === null) break;
      keys.push(key);
    }
    return keys.length === 0
      ? []
      : [{ entry: id, wording: wording.id, part: part.id, blocks, keys, content }];
  });
}

/** How many blocks all of some texts, one at least, have in common, from their end inwards. */
function depthOf(texts: readonly Text[]): number {
  let depth = 1;
  while (texts.every(({ keys }) => keys[depth] !== undefined && keys[depth] === texts[0]!.keys[depth]))
    depth += 1;
  return depth;
}

const passageOf = (content: Block[]): Passage => ({ type: 'doc', content });

/**
 * Blocks that three entries and more of a collection begin or end with, word for word in one language, as far inwards as all of them
 * do; those in most entries first. What holds an optional passage, a number, a table, another entry, or a blank that is asked for is
 * left where it is.
 */
export class SharedEnds {
  private readonly byFirst = new Map<
    string,
    { kind: EndKind; collection: string; language: string; texts: Text[] }
  >();

  add(whole: Whole): void {
    for (const kind of ['opening', 'closing'] as const)
      for (const text of textsOf(whole, kind)) {
        const { language } = whole.content.wordings.find(({ id }) => id === text.wording)!;
        const key = JSON.stringify([kind, whole.collection, language, text.keys[0]]);
        const found = this.byFirst.get(key);
        if (found) found.texts.push(text);
        else this.byFirst.set(key, { kind, collection: whole.collection, language, texts: [text] });
      }
  }

  all(): SharedEnd[] {
    return [...this.byFirst.values()]
      .flatMap(({ texts, ...of }) => this.sharedBy(texts, of))
      .sort((a, b) => b.at.length - a.at.length);
  }

  private sharedBy(
    texts: readonly Text[],
    of: Pick<SharedEnd, 'kind' | 'collection' | 'language'>,
  ): SharedEnd[] {
    // Those that say nothing else are no entries to put a piece into: one of them is the piece.
    const isWhole = (text: Text, depth: number) => text.blocks.length <= depth;
    const longer = texts.filter((text) => !isWhole(text, 1));
    if (longer.length < AT_LEAST) return [];
    let depth = depthOf(longer);
    while (depth > 1 && texts.filter((text) => !isWhole(text, depth)).length < AT_LEAST) depth -= 1;
    const within = texts.filter((text) => !isWhole(text, depth));
    if (new Set(within.map(({ entry }) => entry)).size < AT_LEAST) return [];
    const [first] = within;
    const blocks =
      of.kind === 'opening'
        ? first!.blocks.slice(0, depth)
        : first!.blocks.slice(first!.blocks.length - depth);
    if ((plainText(passageOf([...blocks])).match(/\p{L}/gu)?.length ?? 0) < FEWEST_LETTERS) return [];
    const needed = new Set(
      linesOf(passageOf([...blocks]))
        .flat()
        .flatMap((inline) => (inline.type === 'blank' ? [inline.attrs.field] : [])),
    );
    const piece = texts.find(
      (text) =>
        text.blocks.length === depth && text.keys.length === depth && text.content.wordings.length === 1,
    );
    return [
      {
        ...of,
        blocks: [...blocks],
        fields: first!.content.fields.filter(({ id }) => needed.has(id)),
        at: within.map(({ entry, wording, part }) => ({ entry, wording, part })),
        piece: piece?.entry ?? null,
      },
    ];
  }
}
