import { useEditorState, type Editor } from '@tiptap/react';
import { useRef, useState } from 'react';
import { languageName } from '#core/language';
import { SPOKEN_MARK_LANGUAGES } from '#core/transcript';
import { spokenPlaces, type SpokenPlace } from '../../editor';
import { Button, Key, SelectField, useFocusNext } from '../../ui';
import { PlacesPass, placesInWords } from './PlacesPass';
import type { TurnActs } from './turnActs';

interface Props {
  editor: Editor;
  acts: TurnActs;
  /** The language of the recording, as far as the case says it. */
  language: string;
  close: () => void;
}

const writtenAs = ({ put, breaks }: SpokenPlace): string =>
  breaks ? 'a new line' : `written “${put.trim().replace(/\s.*/s, '')}”`;

/** Writes marks that were dictated as words, each seen first. */
export function SpokenSlip({ editor, acts, language, close }: Props) {
  const [spoken, setSpoken] = useState(
    SPOKEN_MARK_LANGUAGES.find((one) => language.toLowerCase().startsWith(one)) ?? SPOKEN_MARK_LANGUAGES[0]!,
  );
  const doc = useEditorState({
    editor,
    selector: ({ editor: { state } }) => state.doc,
    equalityFn: Object.is,
  });
  const found = spokenPlaces(doc, spoken);
  // The button that wrote them may be gone.
  const focusNext = useFocusNext();
  const closes = useRef<HTMLParagraphElement>(null);
  return (
    <section aria-label="Dictated marks" className="slip grid gap-3">
      <h2 className="section-head">Dictated marks</h2>
      <SelectField
        label="Language"
        autoFocus
        value={spoken}
        onChange={({ target }) => setSpoken(target.value)}
      >
        {SPOKEN_MARK_LANGUAGES.map((one) => (
          <option key={one} value={one}>
            {languageName(one)}
          </option>
        ))}
      </SelectField>
      <p role="status" className="text-[14px]">
        {found.length === 0
          ? 'No “full stop”, “comma” or the like is left.'
          : `Found: ${placesInWords(found.length)}.`}
      </p>
      {found.length > 0 && (
        <PlacesPass
          found={found}
          told={writtenAs}
          does="Write"
          act={(chosen) => {
            acts.writeSpoken(chosen);
            focusNext(() => closes.current?.querySelector('button'));
          }}
          goTo={({ to }) => acts.goTo(to)}
        />
      )}
      <p ref={closes}>
        <Button onClick={close}>
          Close <Key>Esc</Key>
        </Button>
      </p>
    </section>
  );
}
