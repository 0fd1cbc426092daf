import { X } from 'lucide-react';
import { useRef } from 'react';
import type { ChoiceField, ChoiceOption } from '#core/entry';
import { overlappingOptions } from '#core/workbench';
import { Button, moved, Sortable, SortableRow, Tick } from '../../ui';

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
      until another is given
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
}: {
  option: ChoiceOption;
  index: number;
  only: boolean;
  set: (option: ChoiceOption) => void;
  remove: () => void;
  addBelow: () => void;
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

/** Options that say nearly the same, pointed out where they are made. */
function Overlaps({ field }: { field: ChoiceField }) {
  const overlaps = overlappingOptions(field);
  if (overlaps.length === 0) return null;
  return (
    <ul className="mt-1 text-[13px] text-rust">
      {overlaps.map(([one, other]) => (
        <li key={one + other}>
          “{one}” and “{other}” overlap: which of them is meant?
        </li>
      ))}
    </ul>
  );
}

/** The options of a choice: written row by row, Enter for the next; put in order by drag or keys. */
export function OptionsEditor({ field, change }: Props) {
  const { options } = field;
  const rows = useRef<HTMLDivElement>(null);
  const add = (at: number) => {
    const ids = new Set(options.map(({ id }) => id));
    let number = options.length + 1;
    while (ids.has(`o${number}`)) number += 1;
    const fresh = { id: `o${number}`, label: '', words: null };
    change({ ...field, options: [...options.slice(0, at), fresh, ...options.slice(at)] });
    // The row is there once the change has been drawn.
    requestAnimationFrame(() =>
      rows.current?.querySelector<HTMLInputElement>(`[aria-label="Option ${at + 1}"]`)?.focus(),
    );
  };
  return (
    <fieldset className="mt-3">
      <legend className="eyebrow">Options, and the words each puts down where they differ</legend>
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
            />
          ))}
        </Sortable>
      </div>
      <Overlaps field={field} />
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2 text-[14px]">
        <Button onClick={() => add(options.length)}>Add an option</Button>
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
