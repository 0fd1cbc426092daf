import { useState, type ComponentProps } from 'react';

type Props = Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'onBlur'> & {
  value: string;
  change: (value: string) => void;
};

/**
 * A line of words that must be there. It can be emptied to write others: nothing is told of it while it is blank, and where
 * it is left so, what was there last is shown again.
 */
export function NeededInput({ value, change, ...rest }: Props) {
  const [isBlank, setBlank] = useState(false);
  return (
    <input
      {...rest}
      value={isBlank ? '' : value}
      onChange={({ target }) => {
        const blank = target.value.trim() === '';
        setBlank(blank);
        if (!blank) change(target.value);
      }}
      onBlur={() => setBlank(false)}
    />
  );
}
