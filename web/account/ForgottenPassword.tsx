import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { call, inWords } from '#client/api';
import { Button, Notice, TextField } from '../ui';

/** For who cannot sign in: a letter by which they choose a new password. */
export function ForgottenPassword() {
  const [open, setOpen] = useState(false);
  const [email, setEmail] = useState('');
  const ask = useMutation({ mutationFn: () => call('askPassword', { body: { email } }) });
  if (!open)
    return (
      <p className="mt-3 text-[14px]">
        <Button look="text" onClick={() => setOpen(true)}>
          I have forgotten my password
        </Button>
      </p>
    );
  if (ask.isSuccess)
    return (
      <div className="mt-4">
        <Notice title="If there is an account with this address, an email is on its way.">
          Its link works for two hours. Where your team sends no email, ask an owner: it waits with them.
        </Notice>
      </div>
    );
  return (
    <form
      aria-label="Forgotten password"
      className="mt-5 grid gap-3 border-t border-hair pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate();
      }}
    >
      <TextField
        label="Your email"
        type="email"
        required
        autoFocus
        value={email}
        onChange={({ target }) => setEmail(target.value)}
      />
      {ask.error && <Notice tone="warning" title={inWords(ask.error)} />}
      <Button type="submit" disabled={ask.isPending} className="justify-self-start">
        Email me a link
      </Button>
    </form>
  );
}
