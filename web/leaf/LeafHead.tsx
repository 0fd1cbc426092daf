import type { Editor } from '@tiptap/react';
import type { Case } from '#contracts';
import { useState } from 'react';
import { useKinds } from '../api';
import { FilesOfCase } from '../files';
import { FormatMenu } from '../format';
import { AboutButton, AboutCase } from '../record';
import { Button, Key } from '../ui';
import type { Keeping } from '#client/drafts';
import { giveKeys, KeepingLine, LengthLine, SPELLING_KEY, type LeafSlip } from '../writing';
import { LeavesOfCase, NameOfLeaf, type useAnotherLeaf } from './LeavesOfCase';

interface Props {
  one: Case;
  keeping: Keeping;
  /** Finishes the draft; null once it is finished. */
  finish: (() => void) | null;
  isFinishing: boolean;
  editor: Editor;
  /** The id of the draft. */
  here: string;
  another: ReturnType<typeof useAnotherLeaf>;
  marks: { areShown: boolean; toggle: () => void };
  /** Opens a slip in the margin; null once the leaf is finished. */
  openSlip: ((slip: LeafSlip) => void) | null;
}

/** Ways beneath the title: to the other leaves, the files, and what forms the text. */
function Ways({
  one,
  editor,
  here,
  another,
  marks,
  openSlip,
}: Omit<Props, 'keeping' | 'finish' | 'isFinishing'>) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1 px-9 pb-2 text-[13px] max-[899px]:px-4">
      <LeavesOfCase one={one} editor={editor} here={here} another={another} />
      <FilesOfCase one={one} giveKeys={() => giveKeys(editor.view)} />
      {openSlip && (
        <FormatMenu
          editor={editor}
          ask={(kind) => openSlip({ kind })}
          more={[
            {
              label: 'Find and change…',
              hint: 'Alt + G',
              part: 'more',
              onSelect: () => openSlip({ kind: 'find' }),
            },
            {
              label: 'Check the spelling…',
              hint: SPELLING_KEY,
              part: 'more',
              onSelect: () => openSlip({ kind: 'spelling' }),
            },
            { label: 'Texts of this leaf…', part: 'more', onSelect: () => openSlip({ kind: 'texts' }) },
            {
              label: 'Marks under wording from the bank',
              part: 'marks',
              isOn: marks.areShown,
              onSelect: marks.toggle,
            },
          ]}
        />
      )}
    </div>
  );
}

/** What stands above a draft: of which case it is, where its text is kept, and how it is finished. */
export function LeafHead({
  one,
  keeping,
  finish,
  isFinishing,
  editor,
  here,
  another,
  marks,
  openSlip,
}: Props) {
  const [about, setAbout] = useState(false);
  const limit = useKinds().limitOf(one.kind);
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-4 px-9 pt-5 pb-2 max-[899px]:px-4">
        <h1 className="min-w-0 font-book text-[26px] leading-tight break-words">{one.title}</h1>
        {one.number && <span className="text-[13px] text-soft">{one.number}</span>}
        {one.closed && <span className="text-[13px] text-rust">closed</span>}
        <span className="ml-auto flex items-baseline gap-4" data-print="no">
          <AboutButton called="case" isOpen={about} toggle={() => setAbout((now) => !now)} />
          {limit && <LengthLine editor={editor} limit={limit} />}
          <KeepingLine keeping={keeping} />
          {finish && (
            <Button onClick={finish} disabled={isFinishing} aria-keyshortcuts="F9 Alt+X">
              Finish <Key>F9</Key>
            </Button>
          )}
        </span>
      </header>
      <Ways {...{ one, editor, here, another, marks, openSlip }} />
      {about && (
        <>
          <AboutCase key={`${one.title} ${one.number}`} one={one} />
          <NameOfLeaf one={one} here={here} />
        </>
      )}
    </>
  );
}
