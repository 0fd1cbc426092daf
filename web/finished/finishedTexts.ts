import type { FinishedText } from '#contracts';
import { call } from '#client/api';
import { ArchiveNames, fileOf } from '#client/files';
import { languageOf } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { titleOfDraft } from '#core/work';
import { zipped } from '../documents';
import type { TextForm } from './textForms';

/** All finished texts of the member, of one case or (null) of every case, some at a time. */
async function* finishedTexts(of: string | null): AsyncIterable<FinishedText[]> {
  for (let after: string | null = null; ;) {
    const page: { texts: FinishedText[]; more: boolean } = await call('finishedTexts', {
      body: { case: of, after },
    });
    yield page.texts;
    if (!page.more) return;
    after = page.texts.at(-1)!.id;
  }
}

/**
 * The member's finished texts as files of a form in one archive, each called by its day, its case and its title. Gives how many there are;
 * null where there is none.
 */
export async function textsArchive(
  of: string | null,
  form: TextForm,
  tell: (count: number) => void,
): Promise<{ blob: Blob; count: number } | null> {
  const files: Record<string, Uint8Array> = {};
  const names = new ArchiveNames();
  let count = 0;
  for await (const texts of finishedTexts(of)) {
    for (const { caseTitle, savedAt, document, ...draft } of texts) {
      const title = titleOfDraft(draft);
      const language = languageOf(document) ?? 'en-GB';
      const blob = await form.make(finishedPassage(document), title, language);
      const called = `${savedAt.slice(0, 10)} ${caseTitle} - ${title.replace(/…$/, '')}`;
      files[names.take(called, form.format)] = new Uint8Array(await blob.arrayBuffer());
      count += 1;
    }
    tell(count);
  }
  return count === 0 ? null : { blob: fileOf('zip', await zipped(files)), count };
}
