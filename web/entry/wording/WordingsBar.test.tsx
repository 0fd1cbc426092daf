import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLayoutEffect, useState } from 'react';
import type { EntryContent, Wording, WordingPlace } from '#core/entry';
import { newEntry } from '#core/entry';
import { WordingsBar } from './WordingsBar';

const passage = (text: string) => ({
  type: 'doc' as const,
  content: [{ type: 'paragraph' as const, content: [{ type: 'text' as const, text }] }],
});
const wording = (id: string, name: string, parts: string[]): Wording => ({
  ...{ id, name, language: 'en-GB' },
  parts: parts.map((part) => ({ id: part, name: part, passage: passage(`${name} ${part}`) })),
});

/** The entry as it is by now; where the keys were sent last, and the other way to go there. */
let now: { content: EntryContent; place: WordingPlace; written: WordingPlace | null };

function Page({ wordings, editable = true }: { wordings: Wording[]; editable?: boolean }) {
  const begun = { ...newEntry('Rest', 'en-GB'), wordings };
  const [content, setContent] = useState(begun);
  const [place, go] = useState<WordingPlace>({
    wording: wordings[0]!.id,
    part: wordings[0]!.parts.at(-1)!.id,
  });
  const [written, setWritten] = useState<WordingPlace | null>(null);
  useLayoutEffect(() => {
    now = { content, place, written };
  });
  return (
    <>
      <WordingsBar
        {...{ content, place, editable, go }}
        forComments={false}
        put={(changed) => setContent({ ...content, wordings: changed })}
        write={(to) => {
          go(to);
          setWritten(to);
        }}
      />
      <button type="button" onClick={() => setContent(begun)}>
        Discard
      </button>
    </>
  );
}
const show = (wordings: Wording[], editable = true) => void render(<Page {...{ wordings, editable }} />);
afterEach(cleanup);

const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const names = () => now.content.wordings.map(({ name }) => name);
const partsOf = (id: string) =>
  now.content.wordings.find((one) => one.id === id)!.parts.map(({ id: part }) => part);

describe('the wordings of an entry', () => {
  test('another begins with the words of the one at hand, and takes the keys', async () => {
    show([wording('main', 'Main', ['text'])]);
    await press('Add a wording');
    expect(names()).toEqual(['Main', 'Wording 2']);
    expect(now.content.wordings[1]!.parts).toEqual(now.content.wordings[0]!.parts);
    expect(now.written).toEqual({ wording: now.content.wordings[1]!.id, part: 'text' });
  });

  test('another part stands before the text itself, is empty, and takes the keys', async () => {
    show([wording('main', 'Main', ['text'])]);
    await press('Add a part');
    await press('Add a part');
    expect(partsOf('main')).toHaveLength(3);
    expect(partsOf('main').at(-1)).toBe('text');
    expect(now.content.wordings[0]!.parts.map(({ name }) => name)).toEqual(['Subject', 'Part 3', 'text']);
    expect(now.written).toEqual({ wording: 'main', part: partsOf('main')[1] });
  });

  test('one that was removed is back with Undo: where it was, with its words, and the keys in it', async () => {
    const before = [
      wording('main', 'Main', ['text']),
      wording('w2', 'Short', ['text']),
      wording('w3', 'Welsh', ['text']),
    ];
    show(before);
    await userEvent.click(screen.getByRole('radio', { name: 'Short' }));
    expect(now.written).toBeNull();
    await press('Remove this wording');
    expect(names()).toEqual(['Main', 'Welsh']);
    expect(now.written).toEqual({ wording: 'main', part: 'text' });
    await press('Undo');
    expect(now.content.wordings).toEqual(before);
    expect(now.written).toEqual({ wording: 'w2', part: 'text' });
    expect(screen.queryByRole('status')).toBeNull();
  });

  test('a part that was removed is back with Undo, and what was changed since stays', async () => {
    show([wording('main', 'Main', ['subject', 'text'])]);
    await userEvent.click(screen.getByRole('radio', { name: 'subject' }));
    await press('Remove the part subject');
    expect(partsOf('main')).toEqual(['text']);
    await press('Add a wording');
    await press('Undo');
    expect(partsOf('main')).toEqual(['subject', 'text']);
    expect(names()).toEqual(['Main', 'Wording 2']);
  });

  test('one that was made since keeps its name and its words beside one that comes back', async () => {
    show([wording('main', 'Main', ['text']), wording('w2', 'Short', ['text'])]);
    await userEvent.click(screen.getByRole('radio', { name: 'Short' }));
    await press('Remove this wording');
    await press('Add a wording');
    await press('Undo');
    expect(names()).toEqual(['Main', 'Short', 'Wording 2']);
    expect(new Set(now.content.wordings.map(({ id }) => id)).size).toBe(3);
  });

  test('given up with all changes, what was removed is there, and nothing is left to undo', async () => {
    show([wording('main', 'Main', ['text']), wording('w2', 'Short', ['text'])]);
    await press('Remove this wording');
    expect(within(screen.getByRole('status')).getByText(/“Main” is removed/)).toBeTruthy();
    await press('Discard');
    expect(screen.queryByRole('status')).toBeNull();
    expect(names()).toEqual(['Main', 'Short']);
  });

  test('from one wording to another its part of the same name is shown', async () => {
    show([wording('main', 'Main', ['subject', 'text']), wording('w2', 'Short', ['subject', 'text'])]);
    await userEvent.click(screen.getByRole('radio', { name: 'subject' }));
    await userEvent.click(screen.getByRole('radio', { name: 'Short' }));
    expect(now.place).toEqual({ wording: 'w2', part: 'subject' });
  });

  test('who only reads it goes through them, and changes nothing', async () => {
    show([wording('main', 'Main', ['text']), wording('w2', 'Short', ['text'])], false);
    await userEvent.click(screen.getByRole('radio', { name: 'Short' }));
    expect(now.place.wording).toBe('w2');
    expect(screen.queryByRole('button', { name: /Add|Remove/ })).toBeNull();
  });
});
