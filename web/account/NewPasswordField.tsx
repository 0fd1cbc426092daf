import type { ComponentProps } from 'react';
import { PASSWORD_LENGTH } from '#contracts';
import { TextField } from '../ui';

/** A line for a password that is being chosen, saying what it needs. */
export function NewPasswordField(
  props: Omit<ComponentProps<typeof TextField>, 'type' | 'autoComplete' | 'hint'>,
) {
  return (
    <TextField
      type="password"
      autoComplete="new-password"
      hint={`At least ${PASSWORD_LENGTH.min} characters; several words are easy to remember.`}
      {...props}
    />
  );
}
