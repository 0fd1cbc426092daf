import { X } from 'lucide-react';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import {
  linesOfOptions,
  MOST_OPTIONS,
  optionsFromLines,
  type ChoiceField,
  type ChoiceOption,
} from '#core/entry';
import { overlappingOptions } from '#core/workbench';
import { Button, moved, Sortable, SortableRow, Tick, useFocusNext } from '../../ui';

interface Props {
  field: ChoiceField;
  change: (field: ChoiceField) => void;
}

/** How many may be chosen, how they join, and what can be answered beside the options. */
function ChoiceRules({ field, change }: Props) {
  return (
    <>
      <Tick on={field.many} toggle={() => change({ ...field, many: !field.many })}>
        several may be chosen
      </Tick>
      {field.many && (
        <label className="flex items-center gap-2">
          joined
          <select
            className="input w-auto bg-page"
            value={field.join}
            onChange={(event) => change({ ...field, join: event.target.value as ChoiceField['join'] })}
          >
            <option value="and">with and</option>
            <option value="or">with or</option>
            <option value="lines">as lines</option>
          </select>
        </label>
      )}
      <Tick on={field.other ?? false} toggle={() => change({ ...field, other: !field.other })}>
        other words too
      </Tick>
      <Tick
        on={field.none !== undefined}
        toggle={() => change({ ...field, none: field.none === undefined ? 'none' : undefined })}
      >
        none of these
      </Tick>
      {field.none !== undefined && (
        <input
          aria-label="Words for none of these"
          className="input w-56"
          value={field.none}
          onChange={(event) => change({ ...field, none: event.target.value })}
        />
      )}
    </>
  );
}

/** Which options stand there until others are chosen. */
function Starting({ field, change }: Props) {
  const starting = field.starting ?? [];
  const put = (ids: string[]) => change({ ...field, starting: ids.length > 0 ? ids : undefined });
  return (
    <label className="flex items-center gap-2">
      Starting answer
      <select
        className="input w-auto bg-page"
        value={starting[0] ?? ''}
        onChange={({ target }) => put(target.value === '' ? [] : [target.value])}
      >
        <option value="">nothing</option>
        {field.options.map(({ id, label }) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}

function OptionRow({
  option,
  index,
  only,
  set,
  remove,
  addBelow,
  pasteLines,
}: {
  option: ChoiceOption;
  index: number;
  only: boolean;
  set: (option: ChoiceOption) => void;
  remove: () => void;
  addBelow: () => void;
  /** Several lines pasted: an option each, from this row on. */
  pasteLines: (text: string) => void;
}) {
  return (
    <SortableRow id={option.id} label={`Move option ${index + 1}`}>
      <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
        <input
          aria-label={`Option ${index + 1}`}
          className="input"
          value={option.label}
          maxLength={120}
          onChange={(event) => set({ ...option, label: event.target.value })}
          onPaste={(event) => {
            const text = event.clipboardData.getData('text/plain');
            if (!/\S\s*\n\s*\S/u.test(text)) return;
            event.preventDefault();
            pasteLines(text);
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            addBelow();
          }}
        />
        <input
          aria-label={`Words of option ${index + 1}`}
          className="input"
          placeholder={option.label}
          value={option.words ?? ''}
          onChange={(event) => set({ ...option, words: event.target.value || null })}
        />
        <button
          type="button"
          className="rounded-[3px] p-1 text-soft hover:text-elder disabled:opacity-30"
          aria-label={`Remove option ${index + 1}`}
          disabled={only}
          onClick={remove}
        >
          <X size={15} aria-hidden />
        </button>
      </div>
    </SortableRow>
  );
}

const OVERLAPS_SHOWN = 8;

/** Options that say nearly the same, pointed out where they are made. */
function Overlaps({ field }: { field: ChoiceField }) {
  const settled = useDeferredValue(field.options);
  const overlaps = useMemo(() => overlappingOptions({ options: settled }), [settled]);
  if (overlaps.length === 0) return null;
  return (
    <ul className="mt-1 text-[13px] text-rust">
      {overlaps.slice(0, OVERLAPS_SHOWN).map(([one, other], at) => (
        // By place: two pairs may read alike.
        <li key={at}>
          “{one}” and “{other}” overlap: which of them is meant?
        </li>
      ))}
      {overlaps.length > OVERLAPS_SHOWN && (
        <li>And {(overlaps.length - OVERLAPS_SHOWN).toLocaleString()} more pairs.</li>
      )}
    </ul>
  );
}

/** All options at once as lines: for long lists, and for those that are pasted. */
function OptionLines({ field, change }: Props) {
  const [text, setText] = useState(() => linesOfOptions(field.options));
  const { over } = optionsFromLines(text, field.options);
  return (
    <label className="block text-[12.5px] text-soft">
      One option a line; words that differ behind “ = ”
      <textarea
        className="input h-72 resize-y font-book text-[15px] text-ink"
        spellCheck
        value={text}
        onChange={({ target }) => {
          setText(target.value);
          const { options } = optionsFromLines(target.value, field.options);
          // A choice has one option at the least: until a line is written, what was there stays.
          if (options.length > 0) change({ ...field, options, starting: startingOf(field, options) });
        }}
      />
      {over > 0 && (
        <span role="alert" className="text-rust">
          A choice has at most {MOST_OPTIONS.toLocaleString()} options: the last {over.toLocaleString()} lines
          are not taken.
        </span>
      )}
    </label>
  );
}

/** Of the options that stood there until others are chosen, those that are left. */
function startingOf({ starting }: ChoiceField, options: readonly ChoiceOption[]): string[] | undefined {
  const left = starting?.filter((id) => options.some((option) => option.id === id));
  return left?.length ? left : undefined;
}

/** Rows of so many are slow to go through, and to draw. */
const ROWS_AT_MOST = 60;

/** An id that no option has. */
function freshId(options: readonly { id: string }[]): string {
  const ids = new Set(options.map(({ id }) => id));
  let number = options.length + 1;
  while (ids.has(`o${number}`)) number += 1;
  return `o${number}`;
}

/** What was pasted as options, in words. */
function pastedInWords(text: string, over: number): string {
  const pasted = `${optionsFromLines(text, []).options.length.toLocaleString()} options were pasted.`;
  return over > 0
    ? `${pasted} ${over.toLocaleString()} lines more than a choice can have were left out.`
    : pasted;
}

/** The options of a choice: row by row, put in order by drag or keys; or as lines, as long lists are. */
export function OptionsEditor({ field, change }: Props) {
  const { options } = field;
  const rows = useRef<HTMLDivElement>(null);
  const [asLines, setAsLines] = useState(options.length > ROWS_AT_MOST);
  const [said, setSaid] = useState<string | null>(null);
  const focusNext = useFocusNext();
  const focusRow = (at: number) =>
    focusNext(() => rows.current?.querySelector<HTMLInputElement>(`[aria-label="Option ${at + 1}"]`));
  const add = (at: number) => {
    const fresh = { id: freshId(options), label: '', words: null };
    change({ ...field, options: [...options.slice(0, at), fresh, ...options.slice(at)] });
    focusRow(at);
  };
  const pasteLines = (at: number, text: string) => {
    const before = options[at]!.label.trim() === '' ? options.slice(0, at) : options.slice(0, at + 1);
    const lines = [linesOfOptions(before), text, linesOfOptions(options.slice(at + 1))];
    const { options: all, over } = optionsFromLines(lines.join('\n'), options);
    change({ ...field, options: all, starting: startingOf(field, all) });
    setSaid(pastedInWords(text, over));
    return all.length > ROWS_AT_MOST ? setAsLines(true) : focusRow(all.length - 1);
  };
  return (
    <fieldset className="mt-3">
      <legend className="eyebrow">Options, and the words each puts down where they differ</legend>
      {asLines ? (
        <OptionLines key={said} field={field} change={change} />
      ) : (
        <div ref={rows}>
          <Sortable
            ids={options.map(({ id }) => id)}
            move={(from, to) => change({ ...field, options: moved(options, from, to) })}
          >
            {options.map((option, index) => (
              <OptionRow
                key={option.id}
                option={option}
                index={index}
                only={options.length === 1}
                set={(changed) =>
                  change({ ...field, options: options.map((one, at) => (at === index ? changed : one)) })
                }
                remove={() => change({ ...field, options: options.filter((_, at) => at !== index) })}
                addBelow={() => add(index + 1)}
                pasteLines={(text) => pasteLines(index, text)}
              />
            ))}
          </Sortable>
        </div>
      )}
      {said && (
        <p role="status" className="mt-1 text-[13px] text-leaf">
          {said}
        </p>
      )}
      <Overlaps field={field} />
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2 text-[14px]">
        {!asLines && <Button onClick={() => add(options.length)}>Add an option</Button>}
        <Button look="text" onClick={() => setAsLines(!asLines)}>
          {asLines ? 'Edit row by row' : 'Edit as lines'}
        </Button>
        <ChoiceRules field={field} change={change} />
        {!field.required && <Starting field={field} change={change} />}
      </div>
      <p className="mt-1 text-[13px] text-soft">
        Words may hold blanks of other fields in braces, such as {'{Days|words}'}: they are asked for when the
        option is chosen.
      </p>
    </fieldset>
  );
}
