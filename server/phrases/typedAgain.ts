import { eq } from 'drizzle-orm';
import type { TypedAgain } from '#contracts';
import { linesOf, lineText } from '#core/passage';
import { Banked, byHand, repeatedPhrases, worthBanking, type RepeatedPhrase, type Text } from '#core/phrases';
import { rightsFor, readEntries } from '../bank';
import type { Context } from '../context';
import { ignoredPhrases } from '../db';
import { givenDrafts } from '../cases';

const TOLD = 60;
/** Phrases are found beyond those told, since many lie over each other. */
const FOUND = 2000;
const LEAST_WORDS = 5;
/** How far it is once the drafts are read, and once the phrases are found. */
const READ = 0.4;
const FOUND_AT = 0.8;
/** So many are looked up in the bank. */
const LOOKED_UP = 300;

/**
 * What stands by hand in two drafts and more of the cases that a member was given, one of them their own or by two people, and
 * in no wording that they see: what is worth banking. Yields how far it is, from 0 to 1.
 */
export async function* typedAgain({ db }: Context, member: string): AsyncGenerator<number, TypedAgain> {
  const texts: Text<string>[] = [];
  const authors = new Map<string, string>();
  let read = 0;
  for await (const rows of givenDrafts(db, member)) {
    read += rows.length;
    for (const { id, author, document } of rows) {
      authors.set(id, author);
      for (const text of byHand(document)) texts.push({ owner: id, text });
    }
    yield READ / 2;
  }
  const finding = repeatedPhrases(texts, { least: LEAST_WORDS, inAtLeast: 2, most: FOUND });
  let step = finding.next();
  for (; !step.done; step = finding.next()) yield READ + (FOUND_AT - READ) * step.value;
  // What somebody wrote alone, in drafts that nobody else sees, stays theirs.
  const mayBeTold = ({ places }: RepeatedPhrase) => {
    const by = new Set(places.map(({ text }) => authors.get(texts[text]!.owner)));
    return by.has(member) || by.size > 1;
  };
  const ignored = await db.select().from(ignoredPhrases).where(eq(ignoredPhrases.member, member));
  const unwanted = new Set(ignored.map(({ phrase }) => phrase));
  const choosing = worthBanking(texts, step.value.filter(mayBeTold), unwanted);
  let chosen = choosing.next();
  for (; !chosen.done; chosen = choosing.next()) yield FOUND_AT;
  const banked = new Banked(chosen.value.slice(0, LOOKED_UP));
  const rights = await rightsFor(db, member);
  for await (const rows of readEntries(db, [...rights.keys()])) {
    for (const { content } of rows)
      for (const { parts } of content.wordings)
        for (const { passage } of parts) for (const line of linesOf(passage)) banked.read(lineText(line));
    yield FOUND_AT;
  }
  return { phrases: banked.missing().slice(0, TOLD), read };
}
