import { useState } from 'react';
import { TextField } from './fields';

const MOST_TAGS = 50;
const MOST_LETTERS = 60;

/** The tags written with commas between them, each once, none longer than a tag may be. */
export function tagsOf(written: string): string[] {
  const tags = written.split(',').map((tag) => tag.replace(/\s+/g, ' ').trim().slice(0, MOST_LETTERS).trim());
  return [...new Set(tags.filter((tag) => tag !== ''))].slice(0, MOST_TAGS);
}

interface Props {
  tags: readonly string[];
  put: (tags: string[]) => void;
  readOnly?: boolean;
}

/** The tags of an entry, with commas. What is typed stands as typed: a comma has no tag behind it yet. */
export function TagsField({ tags, put, readOnly = false }: Props) {
  const [typed, setTyped] = useState(tags.join(', '));
  // Changed elsewhere, by an undo or a colleague: what stands here would be untrue.
  const shown = tagsOf(typed).join('\n') === tags.join('\n') ? typed : tags.join(', ');
  return (
    <TextField
      label="Tags, with commas"
      readOnly={readOnly}
      value={shown}
      onChange={({ target }) => {
        setTyped(target.value);
        put(tagsOf(target.value));
      }}
    />
  );
}
