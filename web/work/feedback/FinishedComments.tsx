import { useState } from 'react';
import { finishedPassage } from '#core/fill';
import { languageOf, withoutComments } from '#core/draft';
import { inWords } from '#client/api';
import { fileName, offerFile, textFile } from '#client/files';
import type { CaseSubmission, OthersComments } from '#contracts';
import type { LeafWithMaterial } from '../../leaf';
import { useShell } from '../../shell';
import { Button, Menu, Notice } from '../../ui';
import { asPlain, copyPlain, copyRich, documentOf } from '../../writing';

// With what reads and writes docx: fetched only by those who take something away.
const going = () => import('./commented');

interface Props {
  leaf: LeafWithMaterial;
  handed: CaseSubmission;
  others: readonly OthersComments[];
  acts: { reopen: () => void; reopening: boolean; isNew: boolean };
}

/** What is done with comments that are finished: they go back with the submission, in one form or another. */
export function FinishedComments({ leaf: { one, draft, editor }, handed, others, acts }: Props) {
  const { member } = useShell();
  const [said, setSaid] = useState<{ words: string; failed: boolean } | null>(null);
  const document = documentOf(editor);
  const title = one.number ? `${one.title} ${one.number}` : one.title;
  const language = languageOf(document) ?? 'en-GB';
  const savedAt = one.drafts.find(({ id }) => id === draft.id)?.savedAt ?? draft.savedAt;
  const attempt = (words: string, work: () => Promise<void>) =>
    void work().then(
      () => setSaid({ words, failed: false }),
      (error: unknown) => setSaid({ words: inWords(error), failed: true }),
    );
  const commented = async () =>
    (await going()).commentedOf({ id: one.id, title }, handed, { document, savedAt }, member, others);
  const docx = async () =>
    offerFile(await (await going()).commentedDocx(await commented()), fileName(title, 'docx'));
  const formats = [
    {
      label: 'Markdown, with numbered notes',
      save: async () => {
        const text = (await going()).commentedMarkdown(await commented());
        offerFile(textFile(text, 'text/markdown'), fileName(title, 'md'));
      },
    },
    {
      label: 'Web page (HTML), with numbered notes',
      save: async () => {
        const text = (await going()).commentedPage(await commented(), language);
        offerFile(textFile(text, 'text/html'), fileName(title, 'html'));
      },
    },
    {
      label: 'Comments alone, as plain text',
      save: async () => {
        const text = asPlain((await going()).commentsToPaste(await commented()));
        offerFile(textFile(`${text}\n`, 'text/plain'), fileName(title, 'txt'));
      },
    },
  ];
  const toPaste = async () => (await going()).commentsToPaste(await commented());
  return (
    <section aria-label="Finished" className="slip">
      <h2 className="section-head">Finished</h2>
      <p className="text-[13px] text-soft">It cannot be changed until you reopen it.</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button
          look="main"
          autoFocus={acts.isNew}
          onClick={() => attempt('Downloaded, with comments in it.', docx)}
        >
          Download with comments
        </Button>
        <Button
          onClick={() => attempt('Copied: comments and summing-up.', async () => copyRich(await toPaste()))}
        >
          Copy comments
        </Button>
        <Button onClick={() => attempt('Copied as plain text.', async () => copyPlain(await toPaste()))}>
          Copy as plain text
        </Button>
        <Button
          onClick={() =>
            attempt('Copied the summing-up.', () => copyRich(withoutComments(finishedPassage(document))))
          }
        >
          Copy summing-up
        </Button>
        <Menu
          align="start"
          trigger={<Button>Other formats</Button>}
          items={formats.map(({ label, save }) => ({
            label,
            onSelect: () => attempt(`Downloaded: ${label}.`, save),
          }))}
        />
        <Button onClick={acts.reopen} disabled={acts.reopening}>
          Reopen
        </Button>
      </div>
      {said && (
        <div className="mt-3">
          <Notice tone={said.failed ? 'warning' : 'plain'} title={said.words} />
        </div>
      )}
    </section>
  );
}
