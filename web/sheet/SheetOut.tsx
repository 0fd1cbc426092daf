import { useState } from 'react';
import { Link } from 'react-router';
import { sheetTable } from '#core/exchange';
import { Button, Menu } from '../ui';
import { inWords } from '#client/api';
import { offerAs } from '#client/files';
import { BANK_FORMS, type BankForm } from './bankForms';
import { keysOfEntry, setFilters, type BankIndex } from '#core/bank';
import { wordingToRead, type FindEntry } from '#core/fill';
import type { SheetAsked } from './asked';
import type { SheetLine } from './useSheetLines';

/** The entries of a sheet as a table, for the clipboard. */
function tableOf(lines: readonly SheetLine[], find: FindEntry) {
  return sheetTable(
    lines.flatMap((line) => {
      if (line.kind !== 'entry') return [];
      const { content } = line.entry;
      return [
        {
          collection: line.collection.name,
          cue: keysOfEntry(line.entry, line.collection) ?? '',
          title: content.title,
          purpose: content.purpose,
          tags: content.tags,
          ...wordingToRead(content, find),
        },
      ];
    }),
  );
}

const blob = (text: string, type: string) => new Blob([text], { type });

interface Props {
  asked: SheetAsked;
  lines: readonly SheetLine[];
  index: BankIndex;
}

/** What can be taken out of the sheet as it is narrowed: a print, a table on the clipboard. */
export function SheetOut({ asked, lines, index }: Props) {
  const [said, setSaid] = useState<string | null>(null);
  const entries = lines.filter(({ kind }) => kind === 'entry').length;
  const waiting = lines.reduce((sum, line) => sum + (line.kind === 'waiting' ? line.count : 0), 0);
  const copy = async () => {
    const { html, text } = tableOf(lines, (id) => index.entries.get(id)?.content);
    try {
      await navigator.clipboard.write([
        new ClipboardItem({ 'text/html': blob(html, 'text/html'), 'text/plain': blob(text, 'text/plain') }),
      ]);
      setSaid(
        waiting > 0
          ? `${entries} entries are copied as a table; ${waiting.toLocaleString()} are not loaded: choose one collection.`
          : `${entries} entries are copied as a table.`,
      );
    } catch {
      setSaid('The browser did not allow copying. Nothing was copied; allow the clipboard and try again.');
    }
  };
  const save = async (form: BankForm) => {
    const { format, loses } = BANK_FORMS[form];
    const all = lines.flatMap((line) => (line.kind === 'entry' ? [line.entry] : []));
    const title = (asked.collection && index.collections.get(asked.collection)?.name) || 'The bank';
    try {
      const { bankFile } = await import('./bankFile');
      offerAs(format, await bankFile(form, all, index, title), title);
      setSaid(
        `${entries.toLocaleString()} entries saved; it leaves out ${loses}.${
          waiting > 0 ? ` ${waiting.toLocaleString()} are not loaded: choose one collection.` : ''
        }`,
      );
    } catch (error) {
      setSaid(inWords(error));
    }
  };
  const ids =
    asked.query.trim() === '' && setFilters(asked.narrowing) === 0
      ? null
      : lines.flatMap((line) => (line.kind === 'entry' ? [line.entry.id] : []));
  return (
    <>
      <Link
        to={`/bank/print${asked.collection ? `?in=${encodeURIComponent(asked.collection)}` : ''}`}
        state={{ ids, order: asked.order }}
        className="text-elder underline"
      >
        Print it
      </Link>
      <Button look="text" disabled={entries === 0} onClick={() => void copy()}>
        Copy as a table
      </Button>
      <Menu
        align="start"
        trigger={
          <Button look="text" disabled={entries === 0}>
            Save as a file
          </Button>
        }
        items={(Object.keys(BANK_FORMS) as BankForm[]).map((form) => ({
          label: BANK_FORMS[form].label,
          onSelect: () => void save(form),
        }))}
      />
      <span role="status" className="text-soft empty:hidden">
        {said}
      </span>
    </>
  );
}
