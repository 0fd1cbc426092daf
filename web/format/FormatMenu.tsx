import type { Editor } from '@tiptap/react';
import { Button, Menu, type MenuItem } from '../ui';
import { formatsHere } from './formatting';

interface Props {
  editor: Editor;
  /** Asks for what more is needed before it is put in. */
  ask: (what: 'symbol' | 'link') => void;
  /** What else a page has of this kind. */
  more?: MenuItem[];
}

/** What can be done at the caret; what is done to a table first, where one is there. */
function waysHere(editor: Editor): MenuItem[] {
  const ways = formatsHere(editor).map((format) => ({
    label: format.label,
    hint: format.keys,
    ...(format.isOn && { isOn: format.isOn(editor) }),
    part: format.of,
    onSelect: () => format.run(editor),
  }));
  return [...ways.filter(({ part }) => part === 'table'), ...ways.filter(({ part }) => part !== 'table')];
}

/** All ways to form the text at the caret, each with the key that does it too. */
export const FormatMenu = ({ editor, ask, more = [] }: Props) => (
  <Menu
    align="start"
    keysGoOn={() => editor.view.focus()}
    trigger={
      <Button look="text" className="min-h-6 text-[13px]" onMouseDown={(event) => event.preventDefault()}>
        Format
      </Button>
    }
    items={() => [
      ...waysHere(editor),
      { label: 'Link…', part: 'more', onSelect: () => ask('link') },
      { label: 'Symbol…', part: 'more', onSelect: () => ask('symbol') },
      ...more,
    ]}
  />
);
