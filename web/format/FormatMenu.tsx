import { useEditorState, type Editor } from '@tiptap/react';
import { Button, Menu, type MenuItem } from '../ui';
import { formatsHere } from './formatting';

interface Props {
  editor: Editor;
  /** Asks for what more is needed before it is put in. */
  ask: (what: 'symbol' | 'link') => void;
  /** What else a page has of this kind. */
  more?: MenuItem[];
}

/** All ways to form the text at the caret, each with the key that does it too. */
export function FormatMenu({ editor, ask, more = [] }: Props) {
  // What is listed follows the caret.
  const here = useEditorState({
    editor,
    selector: ({ editor: current }) =>
      formatsHere(current)
        .map((format) => `${format.label}${format.isOn?.(current) ? ' on' : ''}`)
        .join('\n'),
  }).split('\n');
  const items = formatsHere(editor)
    .filter(({ label }) => here.some((one) => one === label || one === `${label} on`))
    .map((format) => ({
      label: format.label,
      hint: format.keys,
      ...(format.isOn && { isOn: here.includes(`${format.label} on`) }),
      part: format.of,
      onSelect: () => format.run(editor),
    }));
  return (
    <Menu
      align="start"
      keysGoOn={() => editor.view.focus()}
      trigger={
        <Button look="text" className="min-h-6 text-[13px]" onMouseDown={(event) => event.preventDefault()}>
          Format
        </Button>
      }
      items={[
        ...items.filter(({ part }) => part === 'table'),
        ...items.filter(({ part }) => part !== 'table'),
        { label: 'Link…', part: 'more', onSelect: () => ask('link') },
        { label: 'Symbol…', part: 'more', onSelect: () => ask('symbol') },
        ...more,
      ]}
    />
  );
}
