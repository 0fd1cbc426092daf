import { asPlain } from '#core/exchange';
import { useState } from 'react';
import { finishedPassage } from '#core/fill';
import { languageOf, withoutComments } from '#core/draft';
import { inWords } from '#client/api';
import { offerAs } from '#client/files';
import type { CaseSubmission, OthersComments } from '#contracts';
import type { LeafWithMaterial } from '../../leaf';
import { useShell } from '../../shell';
import { Button, Menu, Notice } from '../../ui';
import { copyPlain, copyRich, documentOf } from '../../writing';

// With what reads and writes docx: fetched only by those who take something away.
const going = () => import('./commented');

interface Props {
  leaf: LeafWithMaterial;
  handed: CaseSubmission;
  others: readonly OthersComments[];
  acts: { reopen: () => void; reopening: boolean; isNew: boolean };
}

type Attempt = (words: string, work: () => Promise<void>) => void;

/** The formats in which a submission goes back as a text, its comments as numbered notes. */
const NOTED = [
  { format: 'markdown', label: 'Markdown, with numbered notes' },
  { format: 'html', label: 'Web page (HTML), with numbered notes' },
] as const;

/** The ways in which comments go back: as files, and on the clipboard. */
function useWaysOut({ leaf: { one, draft, editor }, handed, others }: Omit<Props, 'acts'>) {
  const { member } = useShell();
  const document = documentOf(editor);
  const title = one.number ? `${one.title} ${one.number}` : one.title;
  const savedAt = one.drafts.find(({ id }) => id === draft.id)?.savedAt ?? draft.savedAt;
  const commented = async () =>
    (await going()).commentedOf({ id: one.id, title }, handed, { document, savedAt }, member, others);
  const toPaste = async () => (await going()).commentsToPaste(await commented());
  return {
    file: async () => {
      const { blob, ending } = await (await going()).commentedFile(await commented());
      offerAs(ending, blob, title);
    },
    copy: async () => copyRich(await toPaste()),
    copyPlain: async () => copyPlain(await toPaste()),
    copySummingUp: () => copyRich(withoutComments(finishedPassage(document))),
    files: [
      ...(/\.docx$/i.test(handed.name)
        ? []
        : [
            {
              label: 'Word (docx), made anew',
              save: async () =>
                offerAs('docx', await (await going()).commentedDocx(await commented()), title),
            },
          ]),
      ...NOTED.map(({ label, format }) => ({
        label,
        save: async () => {
          const language = languageOf(document) ?? 'en-GB';
          offerAs(format, (await going()).commentedText(await commented(), format, language), title);
        },
      })),
      {
        label: 'Comments alone, as plain text',
        save: async () => offerAs('text', `${asPlain(await toPaste())}\n`, title),
      },
    ],
  };
}

/** What is done with comments that are finished: they go back with the submission, in one form or another. */
export function FinishedComments({ acts, ...rest }: Props) {
  const [said, setSaid] = useState<{ words: string; failed: boolean } | null>(null);
  const out = useWaysOut(rest);
  const attempt: Attempt = (words, work) =>
    void work().then(
      () => setSaid({ words, failed: false }),
      (error: unknown) => setSaid({ words: inWords(error), failed: true }),
    );
  return (
    <section aria-label="Finished" className="slip">
      <h2 className="section-head">Finished</h2>
      <p className="text-[13px] text-soft">It cannot be changed until you reopen it.</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button
          look="main"
          autoFocus={acts.isNew}
          onClick={() => attempt('Downloaded, with comments in it.', out.file)}
        >
          Download with comments
        </Button>
        <Button onClick={() => attempt('Copied: comments and summing-up.', out.copy)}>Copy comments</Button>
        <Button onClick={() => attempt('Copied as plain text.', out.copyPlain)}>Copy as plain text</Button>
        <Button onClick={() => attempt('Copied the summing-up.', out.copySummingUp)}>Copy summing-up</Button>
        <Menu
          align="start"
          trigger={<Button>Other formats</Button>}
          items={out.files.map(({ label, save }) => ({
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
