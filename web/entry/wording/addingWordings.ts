import type { EntryContent, Part, Wording, WordingPlace } from '#core/entry';

/** An id that none of these has yet. */
export function freeId(stem: string, taken: readonly { id: string }[]): string {
  let number = taken.length + 1;
  while (taken.some(({ id }) => id === `${stem}${number}`)) number += 1;
  return `${stem}${number}`;
}

/** What changes the wordings of an entry, and goes to one of them with the keys. */
export interface WordingChanges {
  content: EntryContent;
  put: (wordings: Wording[]) => void;
  write: (place: WordingPlace) => void;
}

/** Adds a wording to an entry, and a part to the wording at hand. */
export function adding({ content: { wordings }, put, write }: WordingChanges, wording: Wording, part: Part) {
  const addWording = () => {
    const id = freeId('w', wordings);
    // Begun with the words of the one at hand, to be written anew.
    put([...wordings, { ...wording, id, name: `Wording ${wordings.length + 1}` }]);
    write({ wording: id, part: part.id });
  };
  const addPart = () => {
    const id = freeId('p', wording.parts);
    const fresh: Part = {
      id,
      name: wording.parts.length === 1 ? 'Subject' : `Part ${wording.parts.length + 1}`,
      passage: { type: 'doc', content: [{ type: 'paragraph' }] },
    };
    // The last part is the text itself; what has a box of its own stands before it.
    const parts = [...wording.parts.slice(0, -1), fresh, wording.parts.at(-1)!];
    put(wordings.map((one) => (one.id === wording.id ? { ...one, parts } : one)));
    write({ wording: wording.id, part: id });
  };
  return { addWording, addPart };
}
