import { useMutation } from '@tanstack/react-query';
import { inWords } from '#client/api';
import { offerAs } from '#client/files';
import { languageOf, markingsAsText } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { docxForm } from '../../finished';
import type { PageSource } from '../../documents';
import type { LeafWithMaterial } from '../../leaf';
import { useShell } from '../../shell';
import { Button, Notice } from '../../ui';
import { documentOf } from '../../writing';
import { markedFileOut, markedPicture, markingList, markingsOut } from './takeAway';
import { markedFile } from './usePages';

/** What a marked page can be taken away as. */
type Form = 'annotations' | 'drawn' | 'picture' | 'document' | 'list';

const LABELS: Record<Form, string> = {
  annotations: 'PDF, to be changed in other readers',
  drawn: 'PDF, drawn in for printing',
  picture: 'Picture of this page (PNG)',
  document: 'List (docx)',
  list: 'List (text)',
};

/** The ways to take a marked page away; with a gap none is taken, and the gap is shown. */
export function TakeAway({
  leaf,
  source,
  page,
}: {
  leaf: LeafWithMaterial;
  source: PageSource;
  page: number;
}) {
  const { one, editor, isWhole } = leaf;
  const { member } = useShell();
  const file = markedFile(one);
  const take = useMutation({
    mutationFn: async (form: Form) => {
      if (!file || !isWhole()) return;
      const draft = documentOf(editor);
      if (form === 'list') return offerAs('text', markingList(draft), one.title);
      if (form === 'document') {
        const text = markingsAsText(finishedPassage(draft));
        const made = await docxForm.make(text, one.title, languageOf(draft) ?? 'en-GB');
        return offerAs(docxForm.format, made, one.title);
      }
      const markings = await markingsOut(draft, source.size, member.name, new Date().toISOString());
      const pdf = await markedFileOut(one, file, markings, form === 'annotations' ? form : 'drawn');
      if (form === 'picture')
        return offerAs('png', await markedPicture(pdf, file.name, page), `${one.title} ${page + 1}`);
      offerAs('pdf', pdf, one.title);
    },
  });
  if (!file) return null;
  return (
    <section aria-label="Take it away" className="grid gap-1 border-t border-hair pt-2 text-[13px]">
      <p className="flex flex-wrap gap-x-4 gap-y-1">
        {(Object.keys(LABELS) as Form[]).map((form) => (
          <Button key={form} look="text" disabled={take.isPending} onClick={() => take.mutate(form)}>
            {LABELS[form]}
          </Button>
        ))}
      </p>
      {take.isPending && <p className="text-soft">Writing …</p>}
      {take.error && <Notice tone="warning" title={inWords(take.error)} />}
    </section>
  );
}
