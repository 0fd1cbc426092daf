import { useId } from 'react';
import { formulaProblem, type ComputedField, type Field } from '#core/entry';
import { formulaErrorInWords, FUNCTION_NAMES, LONGEST_FORMULA } from '#core/formula';

interface Props {
  field: ComputedField;
  formula: string;
  fields: readonly Field[];
  change: (formula: string) => void;
}

/** A formula on a line of its own, with what is wrong marked beneath the very characters. */
export function FormulaField({ field, formula, fields, change }: Props) {
  const id = useId();
  const problem = formulaProblem(field, fields);
  const names = fields.filter((one) => one.id !== field.id).map(({ name }) => name);
  return (
    <div>
      <label htmlFor={id} className="eyebrow block">
        Formula
      </label>
      <input
        id={id}
        className="input cue text-[14px] text-ink"
        spellCheck={false}
        autoComplete="off"
        maxLength={LONGEST_FORMULA}
        value={formula}
        aria-invalid={problem ? true : undefined}
        aria-describedby={`${id}-said`}
        onChange={(event) => change(event.target.value)}
      />
      <div id={`${id}-said`}>
        {problem ? (
          <>
            <p
              aria-hidden
              className="overflow-hidden px-[0.1rem] font-cue text-[14px] leading-none text-rust"
            >
              {'\u00a0'.repeat(problem.from)}
              {'‾'.repeat(Math.max(1, problem.to - problem.from))}
            </p>
            <p role="alert" className="text-[13px] text-rust">
              {formulaErrorInWords(problem)}
            </p>
          </>
        ) : (
          <details className="text-[13px] text-soft">
            <summary className="cursor-pointer">
              Fields by their names{names.length > 0 && `, such as ${names[0]}`}; functions as in a
              spreadsheet
            </summary>
            <p className="mt-1 break-words font-cue text-[11.5px]">{FUNCTION_NAMES.join(' ')}</p>
          </details>
        )}
      </div>
    </div>
  );
}
