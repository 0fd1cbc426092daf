interface Props<T extends string> {
  legend: string;
  options: readonly (readonly [T, string])[];
  /** What is picked; null while that is not known, and nothing can be picked. */
  value: T | null;
  pick: (value: T) => void;
}

/** One of a few, all of them in sight. */
export function Picks<T extends string>({ legend, options, value, pick }: Props<T>) {
  return (
    <fieldset className="grid gap-1" disabled={value === null}>
      <legend className="eyebrow">{legend}</legend>
      {options.map(([option, words]) => (
        <label key={option} className="flex min-h-6 items-baseline gap-2 text-[14px]">
          <input
            type="radio"
            name={legend}
            checked={value === option}
            onChange={() => pick(option)}
            className="accent-elder"
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}
