import { useState } from 'react';
import { X } from 'lucide-react';
import type { EntryContent, Part, Wording, WordingPlace } from '#core/entry';
import { Button, NeededInput, Tick } from '../../ui';
import { joinOf, JOINS, JOINS_IN_WORDS, type Join } from '#core/passage';
import { languageName, LANGUAGES } from '#core/language';
import { PageOf } from './PageOf';
import { adding } from './addingWordings';
import { useRemoving, type Removed } from './useRemoving';

interface Props {
  content: EntryContent;
  place: WordingPlace;
  editable: boolean;
  go: (place: WordingPlace) => void;
  /** Goes there, and gives it the keys. */
  write: (place: WordingPlace) => void;
  put: (wordings: Wording[]) => void;
  /** Whether it may stand beside what somebody handed in: then a wording can be for what was said before. */
  forComments: boolean;
}

const choiceLook = (on: boolean) =>
  on ? 'border-b-[1.5px] border-leaf font-semibold text-leaf' : 'text-soft hover:text-elder';

interface ChoicesProps<T extends { id: string; name: string }> {
  label: string;
  all: readonly T[];
  current: T;
  go: (one: T) => void;
}

function Choices<T extends { id: string; name: string }>({ label, all, current, go }: ChoicesProps<T>) {
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-wrap items-baseline gap-x-4">
      <span className="eyebrow">{label}</span>
      {all.map((one) => (
        <button
          key={one.id}
          type="button"
          role="radio"
          aria-checked={one.id === current.id}
          className={choiceLook(one.id === current.id)}
          onClick={() => go(one)}
        >
          {one.name || 'unnamed'}
        </button>
      ))}
    </div>
  );
}

interface SettingsProps extends Omit<Props, 'place' | 'go' | 'write'> {
  wording: Wording;
  part: Part;
  remove: (removed: Removed) => void;
}

interface OfWording {
  wording: Wording;
  set: (changed: Wording) => void;
}

/** In which language a wording is. */
function LanguageOf({ wording, set }: OfWording) {
  const languages = LANGUAGES.includes(wording.language) ? LANGUAGES : [wording.language, ...LANGUAGES];
  return (
    <label className="flex items-baseline gap-2">
      in
      <select
        aria-label="Language"
        className="input w-auto bg-page text-ink"
        value={wording.language}
        onChange={({ target }) => set({ ...wording, language: target.value })}
      >
        {languages.map((language) => (
          <option key={language} value={language}>
            {languageName(language)}
          </option>
        ))}
      </select>
    </label>
  );
}

/** How a wording joins the text beside it. */
function JoinOf({ wording, set }: OfWording) {
  return (
    <label className="flex items-baseline gap-2">
      joins
      <select
        aria-label="How it joins the text beside it"
        className="input w-auto bg-page text-ink"
        value={wording.joins ?? ''}
        onChange={({ target }) => {
          const { joins: _, ...others } = wording;
          set(target.value === '' ? others : { ...others, joins: target.value as Join });
        }}
      >
        <option value="">{JOINS_IN_WORDS[joinOf(wording.parts.at(-1)!.passage)]}, by what it is</option>
        {JOINS.map((join) => (
          <option key={join} value={join}>
            {JOINS_IN_WORDS[join]}
          </option>
        ))}
      </select>
    </label>
  );
}

/** The part at hand of a wording that has several: its name, and the way to remove it. */
function PartOf({ wording, part, set, remove }: OfWording & { part: Part; remove: () => void }) {
  const rename = (name: string) =>
    set({ ...wording, parts: wording.parts.map((one) => (one.id === part.id ? { ...one, name } : one)) });
  return (
    <span className="flex items-baseline gap-2">
      <label className="flex items-baseline gap-2">
        Name of the part
        <input
          className="input w-32 text-ink"
          maxLength={60}
          value={part.name}
          onChange={({ target }) => rename(target.value)}
        />
      </label>
      <button
        type="button"
        aria-label={`Remove the part ${part.name}`}
        className="rounded-[3px] p-1 hover:text-elder"
        onClick={remove}
      >
        <X size={14} aria-hidden />
      </button>
    </span>
  );
}

/** The wording at hand: its name and language; and its parts, which go to boxes of their own. */
function Settings({ content, wording, part, forComments, put, remove }: SettingsProps) {
  const { wordings } = content;
  const set = (changed: Wording) => put(wordings.map((one) => (one.id === wording.id ? changed : one)));
  return (
    <div className="mt-1 flex flex-wrap items-baseline gap-x-4 gap-y-1 text-[14px] text-soft">
      <label className="flex items-baseline gap-2">
        Name of the wording
        <NeededInput
          className="input w-36 text-ink"
          maxLength={60}
          value={wording.name}
          change={(name) => set({ ...wording, name })}
        />
      </label>
      <LanguageOf {...{ wording, set }} />
      <JoinOf {...{ wording, set }} />
      {wordings.length > 1 && <PageOf key={wording.id} {...{ wording, set }} />}
      {forComments && wordings.length > 1 && (
        <Tick
          on={!!wording.short}
          toggle={() => {
            const { short, ...others } = wording;
            set(short ? others : { ...others, short: true });
          }}
        >
          short: for what was said before
        </Tick>
      )}
      {wordings.length > 1 && (
        <Button look="text" onClick={() => remove({ wording, at: wordings.indexOf(wording) })}>
          Remove this wording
        </Button>
      )}
      {wording.parts.length > 1 && (
        <PartOf
          {...{ wording, part, set }}
          remove={() => remove({ part, of: wording.id, at: wording.parts.indexOf(part) })}
        />
      )}
    </div>
  );
}

/** Which wording of the entry is at hand, and which part of it; more of either are made here. */
export function WordingsBar(props: Props) {
  const { content, place, editable, forComments, go, put } = props;
  const { remove, undone } = useRemoving(props);
  const { wordings } = content;
  const wording = wordings.find(({ id }) => id === place.wording) ?? wordings[0]!;
  const part = wording.parts.find(({ id }) => id === place.part) ?? wording.parts[0]!;
  const { addWording, addPart } = adding(props, wording, part);
  const several = wordings.length > 1 || wording.parts.length > 1;
  // Of one wording alone there is little to set: how it joins, for those who ask, and where it is not as of others.
  const [asked, setAsked] = useState(false);
  const isPlain = wording.joins === undefined && joinOf(wording.parts.at(-1)!.passage) === 'words';
  const settings = several || asked || !isPlain;
  if (!several && !editable) return null;
  return (
    <div className="mb-3 border-b border-hair pb-2">
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 text-[14px]">
        {wordings.length > 1 && (
          <Choices
            label="Wording"
            all={wordings}
            current={wording}
            go={(one) =>
              go({
                wording: one.id,
                part: (one.parts.find(({ name }) => name === part.name) ?? one.parts[0]!).id,
              })
            }
          />
        )}
        {wording.parts.length > 1 && (
          <Choices
            label="Part"
            all={wording.parts}
            current={part}
            go={(one) => go({ wording: wording.id, part: one.id })}
          />
        )}
        {editable && (
          <span className="ml-auto flex gap-3">
            <Button look="text" onClick={addWording} title="In another language, or longer or shorter">
              Add a wording
            </Button>
            <Button look="text" onClick={addPart} title="A part with a box of its own, such as Subject">
              Add a part
            </Button>
            {!settings && (
              <Button look="text" onClick={() => setAsked(true)} title="With a space, closely, or as it is">
                How it joins
              </Button>
            )}
          </span>
        )}
      </div>
      {editable && settings && (
        <Settings {...{ content, wording, part, editable, forComments, put, remove }} />
      )}
      {undone && (
        <p role="status" className="text-[14px] text-soft">
          “{undone.name}” is removed.{' '}
          <Button look="text" onClick={undone.undo}>
            Undo
          </Button>
        </p>
      )}
    </div>
  );
}
