import type { Editor } from '@tiptap/react';
import { useEditorState } from '@tiptap/react';
import { useRef, useState } from 'react';
import { languageName } from '#core/language';
import { FILLER_LANGUAGES, fillersOf, termsOfLines, type DisfluencyKind } from '#core/transcript';
import { inWords } from '#client/api';
import { usePreferences } from '../../api';
import { disfluentPlaces, markedDisfluencies, transcriptOf } from '../../editor';
import { useSavePreferences } from '../../offers';
import { Button, Key, Notice, SelectField, useFocusNext, WordLines } from '../../ui';
import { PlacesPass, placesInWords } from './PlacesPass';
import type { TurnActs } from './turnActs';

interface Props {
  editor: Editor;
  acts: TurnActs;
  /** The language of the recording, as far as the case says it. */
  language: string;
  close: () => void;
}

/** So many fillers a language has at the most. */
const MOST_FILLERS = 200;

const KINDS: Record<DisfluencyKind, string> = {
  filler: 'filler',
  stammer: 'said twice',
  'false-start': 'begun anew',
};

/** The words that count as fillers, one to a line; those of a language are the member's own once they are changed. */
function FillerWords({ language, words }: { language: string; words: readonly string[] }) {
  const save = useSavePreferences();
  return (
    <details>
      <summary className="text-[14px] text-elder underline">Words that count as fillers</summary>
      <WordLines
        label="Words that count as fillers, one to a line"
        words={words}
        read={termsOfLines}
        most={MOST_FILLERS}
        isSaving={save.isPending}
        save={(change, onSuccess) =>
          save.mutate(
            (before) => ({
              ...before,
              fillers: {
                ...before.fillers,
                [language]: change(before.fillers?.[language] ?? fillersOf(language)),
              },
            }),
            { onSuccess },
          )
        }
      />
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </details>
  );
}

/** Whether what goes out is with what is marked, or without. */
const GoesOut = ({ isClean, acts }: { isClean: boolean; acts: TurnActs }) => (
  <SelectField
    label="What is marked is, in what goes out,"
    autoFocus
    value={isClean ? 'clean' : 'verbatim'}
    onChange={({ target }) => acts.setClean(target.value === 'clean')}
  >
    <option value="verbatim">left in (verbatim)</option>
    <option value="clean">left out (clean)</option>
  </SelectField>
);

/** Marks fillers, stammers and false starts, each seen first; says whether what goes out is with them or without. */
export function CleanSlip({ editor, acts, language, close }: Props) {
  const [spoken, setSpoken] = useState(
    FILLER_LANGUAGES.find((one) => language.toLowerCase().startsWith(one)) ?? FILLER_LANGUAGES[0]!,
  );
  const own = usePreferences().data?.fillers?.[spoken];
  const fillers = own ?? fillersOf(spoken);
  const doc = useEditorState({
    editor,
    selector: ({ editor: { state } }) => state.doc,
    equalityFn: Object.is,
  });
  const found = disfluentPlaces(doc, fillers);
  const marked = markedDisfluencies(doc);
  const isClean = transcriptOf(doc).clean ?? false;
  // The button that marked, or took marks off, may be gone.
  const focusNext = useFocusNext();
  const slip = useRef<HTMLElement>(null);
  const goOn = () => focusNext(() => slip.current?.querySelector<HTMLElement>('[data-goes-on]'));
  return (
    <section ref={slip} aria-label="Clean or verbatim" className="slip grid gap-3">
      <h2 className="section-head">Clean or verbatim</h2>
      <GoesOut isClean={isClean} acts={acts} />
      <SelectField label="Language" value={spoken} onChange={({ target }) => setSpoken(target.value)}>
        {FILLER_LANGUAGES.map((one) => (
          <option key={one} value={one}>
            {languageName(one)}
          </option>
        ))}
      </SelectField>
      <FillerWords key={spoken} language={spoken} words={fillers} />
      <p role="status" className="text-[14px]">
        {found.length === 0 ? 'Nothing else was found.' : `Found: ${placesInWords(found.length)}.`}{' '}
        {marked > 0 && `Marked: ${placesInWords(marked)}.`}
      </p>
      {found.length > 0 && (
        <PlacesPass
          found={found}
          told={({ kind }) => KINDS[kind]}
          does="Mark"
          act={(chosen) => {
            acts.markDisfluent(chosen);
            goOn();
          }}
          goTo={({ to }) => acts.goTo(to)}
        />
      )}
      <p className="flex flex-wrap items-center gap-4">
        <Button data-goes-on onClick={close}>
          Close <Key>Esc</Key>
        </Button>
        {marked > 0 && (
          <Button
            look="text"
            onClick={() => {
              acts.unmarkDisfluent();
              goOn();
            }}
          >
            Take all marks off
          </Button>
        )}
      </p>
      <p className="text-[13px] text-soft">
        Nothing is deleted: marked words stay in the transcript. Select words and choose “Mark as a false
        start” in the look-up to mark them by hand, or to take a mark off.
      </p>
    </section>
  );
}
