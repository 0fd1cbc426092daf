import { asPlain } from '#core/exchange';
import { useState } from 'react';
import { pathFor } from '#contracts';
import { textsOf } from '#core/draft';
import type { EntryFile } from '#core/entry';
import { isEmptyPassage, type Passage } from '#core/passage';
import { FilesAlong } from '../../files';
import { Button, Menu, Notice } from '../../ui';
import { offerAs } from '#client/files';
import { TEXT_FORMS } from '../../finished';
import { copyPlain, copyRich } from './copy';

interface Props {
  /** The id of the draft. */
  draft: string;
  /** The files that go along with it. */
  files: readonly EntryFile[];
  passage: Passage;
  /** The language of the text, as a BCP 47 tag. */
  language: string;
  title: string;
  /** Ways to take it away besides those that every text has. */
  more: readonly { label: string; save: () => Promise<void> }[];
  reopen: () => void;
  reopening: boolean;
  /** Whether it was finished here and now: the keys go to what is done with it next. */
  isNew: boolean;
}

/** The texts of a finished draft, each to be copied by itself: by its name. Empty where there is but one without a name. */
function namedTexts(passage: Passage): { name: string; passage: Passage }[] {
  const texts = textsOf(passage).filter((text) => text.name !== null || !isEmptyPassage(text.passage));
  if (texts.every(({ name }) => name === null)) return [];
  return texts.map((text) => ({ ...text, name: text.name ?? 'the text' }));
}

/** What can be done with a finished text: take it where it is needed, or open it again. */
export function FinishedPanel(props: Props) {
  const { draft, files, passage, language, title, more, reopen, reopening, isNew } = props;
  const [said, setSaid] = useState<{ words: string; failed: boolean } | null>(null);
  const attempt = (words: string, work: Promise<void>) => {
    work.then(
      () => setSaid({ words, failed: false }),
      (error: Error) => setSaid({ words: `That did not work: ${error.message}`, failed: true }),
    );
  };
  return (
    <section aria-label="Finished" className="slip">
      <h2 className="section-head">Finished</h2>
      <p className="text-[13px] text-soft">It cannot be changed until you reopen it.</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button
          look="main"
          autoFocus={isNew}
          onClick={() => attempt('Copied, with its formatting.', copyRich(passage))}
        >
          Copy
        </Button>
        {namedTexts(passage).map((box) => (
          <Button key={box.name} onClick={() => attempt(`Copied ${box.name}.`, copyRich(box.passage))}>
            Copy {box.name}
          </Button>
        ))}
        <Button onClick={() => attempt('Copied as plain text.', copyPlain(passage))}>
          Copy as plain text
        </Button>
        <Button onClick={() => window.print()}>Print</Button>
        <Menu
          align="start"
          trigger={<Button>Download</Button>}
          items={[
            ...TEXT_FORMS.map(({ label, format, make }) => ({
              label,
              save: async () => offerAs(format, await make(passage, title, language), title),
            })),
            ...more,
          ].map(({ label, save }) => ({
            label,
            onSelect: () => attempt(`Downloaded: ${label}.`, save()),
          }))}
        />
        <Button onClick={reopen} disabled={reopening}>
          Reopen
        </Button>
      </div>
      {files.length > 0 && (
        <div className="mt-3">
          <p className="eyebrow">Attached files</p>
          <FilesAlong
            label="Attached files"
            files={files}
            addressOf={({ hash }) => pathFor('draftFile', { draft, hash })}
          />
        </div>
      )}
      <details className="mt-3 text-[14px]">
        <summary className="w-fit cursor-pointer text-elder underline">As plain text</summary>
        <pre className="mt-1 [font-family:inherit] break-words whitespace-pre-wrap">{asPlain(passage)}</pre>
      </details>
      {said && (
        <div className="mt-3">
          <Notice tone={said.failed ? 'warning' : 'plain'} title={said.words} />
        </div>
      )}
    </section>
  );
}
