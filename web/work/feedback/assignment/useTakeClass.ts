import { useState } from 'react';
import type { Assignment } from '#contracts';
import { call, inWords } from '#client/api';
import { wordsOfBlock } from '#core/submission';
import { nameFromFile, whoseFile } from '#core/work';
import { filesPacked } from '../../../documents';
import { readSubmission, takeInRead } from '../takeIn';
import { assignmentIsNow } from './useAssignment';

type Read = Awaited<ReturnType<typeof readSubmission>>;

/** A file of which it is not sure whose it is: it is asked. */
export interface Doubtful {
  key: string;
  file: File;
  read: Read;
  /** The likeliest names first. */
  likely: readonly string[];
  /** Why it is asked. */
  why: string;
}

/** A file that was not taken in, and why. */
export interface NotTaken {
  name: string;
  why: string;
}

const firstPage = ({ blocks }: Read): string => blocks.slice(0, 30).map(wordsOfBlock).join('\n');

/** Takes one file in for somebody: as a new version where they have handed in already. */
async function takeFor(assignment: Assignment, person: string, file: File, read: Read): Promise<Assignment> {
  const there = assignment.submissions.find((one) => one.person === person);
  const of = there?.case ?? crypto.randomUUID();
  if (!there) {
    const body = { case: of, person, title: `${assignment.title}, ${person}`.slice(0, 200) };
    await call('assign', { params: { assignment: assignment.id }, body });
  }
  await takeInRead(of, file, read);
  return call('assignment', { params: { assignment: assignment.id } });
}

/** Files of a class, each for whom it is; what is doubtful is asked, what cannot be read is told, and neither keeps others out. */
export function useTakeClass(assignment: Assignment) {
  const [doubtful, setDoubtful] = useState<readonly Doubtful[]>([]);
  const [notTaken, setNotTaken] = useState<readonly NotTaken[]>([]);
  const [reading, setReading] = useState<{ done: number; all: number } | null>(null);
  const [taken, setTaken] = useState(0);

  const refuse = (name: string, error: unknown) =>
    setNotTaken((now) => [...now, { name, why: inWords(error) }]);

  const takeAll = async (dropped: readonly File[]) => {
    setNotTaken([]);
    setTaken(0);
    const files: File[] = [];
    for (const file of dropped)
      await filesPacked(file).then(
        (packed) => void files.push(...(packed ?? [file])),
        (error: unknown) => refuse(file.name, error),
      );
    let now = assignment;
    const seen = new Set<string>();
    for (const [at, file] of files.entries()) {
      setReading({ done: at, all: files.length });
      try {
        const read = await readSubmission(file);
        const { sure, likely } = whoseFile(file.name, firstPage(read), now.people);
        const person = likely[0];
        const isSecond = person !== undefined && seen.has(person);
        if (!sure || person === undefined || isSecond) {
          const why = isSecond
            ? `${person} has another file here.`
            : likely.length > 0
              ? 'It may be theirs.'
              : 'No name of the class is in it.';
          const names = likely.length > 0 || now.people.length > 0 ? likely : [nameFromFile(file.name)];
          setDoubtful((all) => [...all, { key: crypto.randomUUID(), file, read, likely: names, why }]);
          continue;
        }
        seen.add(person);
        now = await takeFor(now, person, file, read);
        assignmentIsNow(now);
        setTaken((count) => count + 1);
      } catch (error) {
        refuse(file.name, error);
      }
    }
    setReading(null);
  };

  const settle = async ({ key, file, read }: Doubtful, person: string) => {
    try {
      assignmentIsNow(await takeFor(assignment, person, file, read));
      setDoubtful((all) => all.filter((one) => one.key !== key));
      setTaken((count) => count + 1);
    } catch (error) {
      refuse(file.name, error);
    }
  };
  const leave = ({ key }: Doubtful) => setDoubtful((all) => all.filter((one) => one.key !== key));
  return { doubtful, notTaken, reading, taken, takeAll, settle, leave };
}
