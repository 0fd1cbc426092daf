import type { LetterToWrite } from '#client/letters';
import { fileNamesOf, type BatchSetup } from '#core/batch';
import { languageOf } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { messageOf } from '#core/letter';
import type { Passage } from '#core/passage';
import type { Letter } from '../letterMaker';

/** A letter as it stands on paper: what its wording calls it above its words. */
export function passageOnPaper({ document, head }: Letter): Passage {
  const finished = finishedPassage(document!);
  const { content } = messageOf(finished);
  const hasSubject = finished.content.some(
    (block) => block.type === 'box' && block.attrs.name.trim().toLowerCase() === 'subject',
  );
  if (!hasSubject || !head || head.subject === '') return { type: 'doc', content };
  const subject = { type: 'text' as const, text: head.subject, marks: [{ type: 'bold' as const }] };
  return { type: 'doc', content: [{ type: 'paragraph', content: [subject] }, ...content] };
}

/** Letters as they are written into files, each by the name that the batch gives it. */
export function lettersToWrite(setup: BatchSetup, letters: readonly Letter[]): LetterToWrite[] {
  const names = fileNamesOf(
    setup,
    letters.map(({ row }) => row),
  );
  return letters.map((letter, at) => ({
    name: names[at]!,
    subject: letter.head?.subject || letter.name,
    language: languageOf(letter.document!) ?? 'en-GB',
    passage: passageOnPaper(letter),
  }));
}
