import { useState, type ChangeEvent, type ComponentProps, type KeyboardEvent } from 'react';
import { TextField } from './fields';

interface Bounds {
  least?: number;
  most?: number;
  isWhole?: boolean;
}

/** A number that is always there, or one that may be left out. */
type Held =
  | { isOptional?: false; value: number; change: (value: number) => void }
  | { isOptional: true; value: number | null; change: (value: number | null) => void };

type Given = Bounds & Held;

/** The nearest number that may be. */
function nearest(value: number, { least = -Infinity, most = Infinity, isWhole = false }: Bounds): number {
  const rounded = isWhole ? Math.round(value) : value;
  return Math.min(most, Math.max(least, rounded));
}

/**
 * What an `<input>` for a number is given. What is typed stays as it is typed until the field is left: shown as the number
 * that was read of it so far, "0.05" would lose its "0." on the way and become 5, and "-5" its sign. Numbers within the bounds are told
 * with each key; of what lies beyond them, the nearest is taken on leaving or Enter.
 */
function useTyped(given: Given) {
  const { least, most, isWhole, isOptional, value } = given;
  const [typed, setTyped] = useState<string | null>(null);
  // Told only where it is another: leaving a field changes nothing by itself.
  const tell = (number: number) => number !== value && given.change(number);
  const settle = () => {
    if (typed !== null && typed.trim() !== '' && Number.isFinite(Number(typed)))
      tell(nearest(Number(typed), given));
    setTyped(null);
  };
  return {
    ...{ type: 'number', min: least, max: most, step: isWhole ? 1 : 'any' },
    value: typed ?? value ?? '',
    onChange: ({ target: { value: text } }: ChangeEvent<HTMLInputElement>) => {
      setTyped(text);
      if (text.trim() !== '') {
        if (nearest(Number(text), given) === Number(text)) tell(Number(text));
      } else if (isOptional && value !== null) given.change(null);
    },
    onBlur: settle,
    onKeyDown: ({ key }: KeyboardEvent) => key === 'Enter' && settle(),
  };
}

/** What of an `<input>` a number settles by itself. */
type Settled = keyof ReturnType<typeof useTyped>;

/** A number on a ruled line, with its label above it. */
export function NumericField(props: Given & Omit<ComponentProps<typeof TextField>, Settled>) {
  const { least, most, isWhole, isOptional, value, change, ...rest } = props;
  const typed = useTyped({ least, most, isWhole, isOptional, value, change } as Given);
  return <TextField {...rest} {...typed} />;
}

/** A number among words, named for who hears it alone. */
export function NumericInput({ label, className, ...given }: Given & { label: string; className: string }) {
  return <input aria-label={label} className={className} {...useTyped(given)} />;
}
