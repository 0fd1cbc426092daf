import { useRef, useState } from 'react';
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

const submissionOf = ({ submissions }: Assignment, person: string) =>
  submissions.find((one) => one.person === person);

/** The case of somebody's submission: made where there is none, here or at a colleague's who takes the class in too. */
async function caseFor(assignment: Assignment, person: string): Promise<string> {
  const there = submissionOf(assignment, person);
  if (there) return there.case;
  const body = { case: crypto.randomUUID(), person, title: `${assignment.title}, ${person}`.slice(0, 200) };
  const now = await call('assign', { params: { assignment: assignment.id }, body });
  return submissionOf(now, person)?.case ?? body.case;
}

/** Takes one file in for somebody: as a new version where they have handed in already. */
async function takeFor(assignment: Assignment, person: string, file: File, read: Read): Promise<Assignment> {
  await takeInRead(await caseFor(assignment, person), file, read);
  return call('assignment', { params: { assignment: assignment.id } });
}

/** Whose a file is, by its name and its first page; where that is doubtful, or they have another one here, what is asked. */
function whoseIs(
  file: File,
  read: Read,
  { people }: Assignment,
  seen: ReadonlySet<string>,
): string | Doubtful {
  const { sure, likely } = whoseFile(file.name, firstPage(read), people);
  const [person] = likely;
  const isSecond = person !== undefined && seen.has(person);
  if (sure && person !== undefined && !isSecond) return person;
  const doubt = likely.length > 0 ? 'It may be theirs.' : 'No name of the class is in it.';
  return {
    ...{ key: crypto.randomUUID(), file, read },
    likely: likely.length > 0 || people.length > 0 ? likely : [nameFromFile(file.name)],
    why: isSecond ? `${person} has another file here.` : doubt,
  };
}

/** Files of a class, each for whom it is; what is doubtful is asked, what cannot be read is told, and neither keeps others out. */
export function useTakeClass(assignment: Assignment) {
  const [doubtful, setDoubtful] = useState<readonly Doubtful[]>([]);
  const [notTaken, setNotTaken] = useState<readonly NotTaken[]>([]);
  const [reading, setReading] = useState<{ done: number; all: number } | null>(null);
  const [taken, setTaken] = useState(0);
  /** The doubtful files that are being taken in: pressed twice, one is taken once. */
  const settling = useRef(new Set<string>());

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
        const whose = whoseIs(file, read, now, seen);
        if (typeof whose !== 'string') {
          setDoubtful((all) => [...all, whose]);
          continue;
        }
        seen.add(whose);
        now = await takeFor(now, whose, file, read);
        assignmentIsNow(now);
        setTaken((count) => count + 1);
      } catch (error) {
        refuse(file.name, error);
      }
    }
    setReading(null);
  };

  /** Takes a doubtful file in; `onTaken` is called as it goes from those that are asked about. Refused, it is asked about still. */
  const settle = async (
    { key, file, read }: Doubtful,
    person: string,
    onTaken: () => void,
  ): Promise<void> => {
    if (settling.current.has(key)) return;
    settling.current.add(key);
    try {
      const now = await takeFor(assignment, person, file, read);
      onTaken();
      setDoubtful((all) => all.filter((one) => one.key !== key));
      setTaken((count) => count + 1);
      assignmentIsNow(now);
    } catch (error) {
      refuse(file.name, error);
    } finally {
      settling.current.delete(key);
    }
  };
  const leave = ({ key }: Doubtful) => setDoubtful((all) => all.filter((one) => one.key !== key));
  return { doubtful, notTaken, reading, taken, takeAll, settle, leave };
}
