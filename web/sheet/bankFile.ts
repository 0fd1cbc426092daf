import { Packer } from 'docx';
import type { CollectionFile } from '#contracts';
import { withFilesAlong } from '#client/files';
import type { BankIndex, Collection, Entry } from '#core/bank';
import { CollectionSettingsSchema, typedCue } from '#core/bank';
import { toDocx } from '#core/docx';
import {
  abbreviationList,
  bankCsv,
  bankHtmlPage,
  bankMarkdown,
  bankPassage,
  bankTable,
  type AbbreviationForm,
  type BankRow,
} from '#core/exchange';
import { wordingToRead } from '#core/fill';
import { entryFolder } from '#core/takeover';
import { workbook, zipped } from '../documents';
import type { BankForm } from './bankForms';

const aroundOf = (collection: Collection | undefined, index: BankIndex): Collection[] => {
  const way: Collection[] = [];
  for (
    let at = collection;
    at && way.length < 20;
    at = at.parent === null ? undefined : index.collections.get(at.parent)
  )
    way.unshift(at);
  return way;
};

const rowOf = (entry: Entry, index: BankIndex): BankRow => {
  const collection = index.collections.get(entry.collection);
  const { title, purpose, tags } = entry.content;
  return {
    path: aroundOf(collection, index).map(({ name }) => name),
    cue: typedCue(entry, collection) ?? '',
    ...{ title, purpose, tags },
    ...wordingToRead(entry.content, (id) => index.entries.get(id)?.content),
  };
};

/** Entries with their collections, and all around these, in the form that another team's *Bring in a file* reads whole. */
function collectionFile(entries: readonly Entry[], index: BankIndex): CollectionFile {
  const used = new Set(
    entries.flatMap(({ collection }) =>
      aroundOf(index.collections.get(collection), index).map(({ id }) => id),
    ),
  );
  const collections = index.bank.collections.filter(({ id }) => used.has(id));
  return {
    format: 'elderleaf-collection',
    version: 1,
    collections: collections.map((one) => ({
      ...CollectionSettingsSchema.parse(one),
      id: one.id,
      parent: one.parent !== null && used.has(one.parent) ? one.parent : null,
    })),
    entries: entries.map(({ id, collection, content }) => ({ id, collection, content })),
  };
}

/** What stands in a file of entries of a form, as the member sees them. Throws in words where files that go along are too much, or cannot be had. */
export async function bankFile(
  form: BankForm,
  entries: readonly Entry[],
  index: BankIndex,
  title: string,
): Promise<string | Uint8Array | Blob> {
  const rows = () => entries.map((entry) => rowOf(entry, index));
  const abbreviations = (as: AbbreviationForm) => abbreviationList(rows(), as);
  const makers: Record<BankForm, () => string | Uint8Array | Blob | Promise<string | Uint8Array | Blob>> = {
    json: async () => JSON.stringify(await withFilesAlong(collectionFile(entries, index)), null, 1),
    notation: () => {
      const placed = entries.map(({ id, collection, content }) => ({
        id,
        path: aroundOf(index.collections.get(collection), index).map(({ name }) => name),
        content,
      }));
      const encoder = new TextEncoder();
      const files = entryFolder(placed).map(([path, text]) => [path, encoder.encode(text)]);
      return zipped(Object.fromEntries(files) as Record<string, Uint8Array>);
    },
    csv: () => bankCsv(rows()),
    xlsx: () => workbook(bankTable(rows())),
    html: () => bankHtmlPage(rows(), title, 'en-GB'),
    docx: () => Packer.toBlob(toDocx(bankPassage(rows(), title), title)),
    markdown: () => bankMarkdown(rows(), title),
    tsv: () => abbreviations('tsv'),
    plist: () => abbreviations('plist'),
    'json-list': () => abbreviations('json'),
    yaml: () => abbreviations('yaml'),
  };
  return makers[form]();
}
