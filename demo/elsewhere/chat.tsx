/** A talk in which Enter sends: a line governed by React, and one made with an editor. */
import { ContentState, Editor, EditorState, getDefaultKeyBinding } from 'draft-js';
import { useState } from 'react';
import { createRoot } from 'react-dom/client';

function Talk() {
  const [sent, setSent] = useState<string[]>([]);
  const [line, setLine] = useState('');
  const [draft, setDraft] = useState(() => EditorState.createEmpty());
  const send = (text: string) => setSent((before) => [...before, text]);
  const sendDraft = () => {
    send(draft.getCurrentContent().getPlainText());
    setDraft(EditorState.push(draft, ContentState.createFromText(''), 'remove-range'));
  };
  Object.assign(window, { held: { draft: () => draft.getCurrentContent().getPlainText() } });
  return (
    <>
      <section aria-label="Sent">
        {sent.map((text, at) => (
          <p key={at} className="message">
            {text}
          </p>
        ))}
      </section>
      <p className="field">
        <label htmlFor="line">Your line: {line.length} letters</label>
        <textarea
          id="line"
          rows={3}
          value={line}
          onChange={(event) => setLine(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey) return;
            event.preventDefault();
            send(line);
            setLine('');
          }}
        />
      </p>
      <div className="field">
        <span id="draft-name">Your line, with formatting</span>
        <div className="rich">
          <Editor
            editorState={draft}
            onChange={setDraft}
            ariaLabelledBy="draft-name"
            keyBindingFn={(event) =>
              event.key === 'Enter' && !event.shiftKey ? 'send' : getDefaultKeyBinding(event)
            }
            handleKeyCommand={(command) => {
              if (command !== 'send') return 'not-handled';
              sendDraft();
              return 'handled';
            }}
          />
        </div>
      </div>
    </>
  );
}
createRoot(document.getElementById('chat')!).render(<Talk />);
