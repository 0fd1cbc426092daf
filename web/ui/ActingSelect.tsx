import { useRef, useState, type ComponentProps } from 'react';
import { SelectField } from './fields';

interface Props extends Omit<ComponentProps<typeof SelectField>, 'value' | 'onChange' | 'hint'> {
  value: string;
  /** What picking does, at once. */
  act: (value: string) => void;
}

/**
 * A choice that does something when it is made. Browsers choose with each arrow key: by keys it is done on Enter, or on leaving, and
 * Escape leaves all as it was.
 */
export function ActingSelect({ value, act, ...rest }: Props) {
  const [held, setHeld] = useState<string | null>(null);
  const isByKeys = useRef(false);
  const settle = () => {
    setHeld(null);
    if (held !== null && held !== value) act(held);
  };
  return (
    <SelectField
      {...rest}
      value={held ?? value}
      hint={held === null ? undefined : 'Enter applies it; Esc cancels.'}
      onPointerDown={() => {
        isByKeys.current = false;
      }}
      onKeyDown={(event) => {
        isByKeys.current = true;
        if (held === null || (event.key !== 'Enter' && event.key !== 'Escape')) return;
        event.preventDefault();
        event.stopPropagation();
        if (event.key === 'Enter') settle();
        else setHeld(null);
      }}
      onChange={({ target }) => (isByKeys.current ? setHeld(target.value) : act(target.value))}
      onBlur={() => {
        isByKeys.current = false;
        settle();
      }}
    />
  );
}
