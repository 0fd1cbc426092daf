interface Props<T extends string> {
  legend: string;
  options: readonly (readonly [T, string])[];
  value: T;
  pick: (value: T) => void;
}

/** One of a few, all of them in sight. */
export function Picks<T extends string>({ legend, options, value, pick }: Props<T>) {
  return (
    <fieldset className="grid gap-1">
      <legend className="eyebrow">{legend}</legend>
      {options.map(([option, words]) => (
        <label key={option} className="flex items-baseline gap-2 text-[14px]">
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
