import { useEditorState, type Editor } from '@tiptap/react';
import { useState } from 'react';
import { finishedPassage } from '#core/fill';
import { mailboxInWords } from '#core/mail';
import { letterOf, messageOf, type Head } from '#core/letter';
import { PassageView } from '../../../show';
import { Button, Picks } from '../../../ui';
import { documentOf } from '../../../writing';

type Form = 'rich' | 'plain';
const FORMS: [Form, string][] = [
  ['rich', 'with its formatting'],
  ['plain', 'as plain text'],
];

/** The letter as its receiver gets it: mail programs show one of its two forms, of the same words. */
export function AsItGoesOut({ editor, head, close }: { editor: Editor; head: Head; close: () => void }) {
  const [form, setForm] = useState<Form>('rich');
  const document = useEditorState({
    editor,
    selector: ({ editor: { state } }) => state.doc && documentOf(editor),
  });
  const letter = letterOf(document, head);
  const along = letter.files.map(({ name }) => name);
  return (
    <section aria-label="As it goes out" className="slip mb-5">
      <h2 className="section-head">As it goes out</h2>
      <dl className="mt-1 grid grid-cols-[4rem_1fr] gap-x-2 text-[13.5px] break-words [&_dt]:text-soft">
        <dt>To</dt>
        <dd>{letter.to.map(mailboxInWords).join(', ') || 'nobody yet'}</dd>
        {letter.cc.length > 0 && (
          <>
            <dt>Cc</dt>
            <dd>{letter.cc.map(mailboxInWords).join(', ')}</dd>
          </>
        )}
        <dt>Subject</dt>
        <dd>{letter.subject || 'none'}</dd>
        {along.length > 0 && (
          <>
            <dt>Along</dt>
            <dd>{along.join(', ')}</dd>
          </>
        )}
      </dl>
      <div className="my-2">
        <Picks legend="Shown" options={FORMS} value={form} pick={setForm} />
      </div>
      <div
        className="max-h-[50vh] overflow-auto border-y border-hair py-2"
        tabIndex={0}
        role="region"
        aria-label="The letter"
      >
        {form === 'rich' ? (
          <div className="book text-[15px]">
            <PassageView passage={messageOf(finishedPassage(document))} nameOf={(field) => field} />
          </div>
        ) : (
          <pre className="font-cue text-[13px] break-words whitespace-pre-wrap">{letter.text}</pre>
        )}
      </div>
      <Button className="mt-3" onClick={close}>
        Close
      </Button>
    </section>
  );
}
