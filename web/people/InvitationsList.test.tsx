import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Invitation } from '#contracts';
import { answering, type Sent } from '../../client/testing/answering';
import { asking } from '../testing/settled';
import { InvitationsList } from './InvitationsList';

const JORY: Invitation = {
  ...{ id: 'jory', name: 'Jory Marl', email: 'jory@hollin.example', role: 'member', groups: ['ward'] },
  ...{ sentBy: 'Imke Tarrow', sentAt: '2026-11-24T10:00:00.000Z', endsAt: '2026-12-01T10:00:00.000Z' },
};

let sent: Sent[];
let restore: () => void;
beforeEach(() => {
  ({ sent, restore } = answering((to) =>
    to.startsWith('DELETE') ? { status: 204, json: null } : { json: JORY },
  ));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = (byEmail: boolean) => {
  const said: string[] = [];
  const list = (
    <InvitationsList
      {...{ byEmail, invitations: [JORY], groups: [{ id: 'ward', name: 'Ward', members: [] }] }}
      say={(words) => said.push(words)}
    />
  );
  render(list, { wrapper: asking });
  return said;
};

test.each([
  [true, /^A new email is on its way to Jory Marl;/],
  [false, /^A new email to Jory Marl waits in the post room: pass its link on\./],
])(
  'sent again, with a mail server or without (%s), it is said where the email is',
  async (byEmail, words) => {
    const said = show(byEmail);
    await userEvent.click(screen.getByRole('button', { name: 'Send again' }));
    await waitFor(() => expect(said).toEqual([expect.stringMatching(words)]));
    expect(sent.filter(({ to }) => to.startsWith('POST'))).toHaveLength(1);
  },
);
