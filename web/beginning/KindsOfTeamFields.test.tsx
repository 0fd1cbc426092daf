import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { kindsOfTeam } from '#core/work';
import { rowsOf, type KindRow } from './beginTeam';
import { KindsOfTeamFields } from './KindsOfTeamFields';

const seen: (readonly KindRow[])[] = [];
function Fields() {
  const [now, setNow] = useState<readonly KindRow[]>(rowsOf(kindsOfTeam(null), true));
  const change = (rows: KindRow[]) => {
    seen.push(rows);
    setNow(rows);
  };
  return <KindsOfTeamFields rows={now} change={change} withLimits={false} />;
}
afterEach(cleanup);

const of = (kind: string) => within(screen.getByRole('group', { name: kind }));

test('each kind is ticked, called as the team calls it, and its collection left or taken, by itself', async () => {
  const user = userEvent.setup();
  render(<Fields />);
  const name = of('Replies').getByRole('textbox', { name: 'You call this work' });
  await user.clear(name);
  await user.type(name, 'Letters');
  await user.click(of('Replies').getByRole('checkbox', { name: 'Add ten starter entries' }));
  await user.click(of('Ward notes').getByRole('checkbox', { name: 'Ward notes' }));
  const rows = seen.at(-1)!;
  expect(rows.find(({ kind }) => kind === 'reply')).toEqual({
    kind: 'reply',
    on: true,
    work: 'Letters',
    caseName: 'Enquiry',
    most: '',
    mostOf: 'words',
    withStarter: false,
  });
  expect(rows.filter(({ on }) => !on).map(({ kind }) => kind)).toEqual(['admission']);
});

test('what is not done asks nothing; ticked again it has the names that were written', async () => {
  const user = userEvent.setup();
  render(<Fields />);
  const tick = of('Replies').getByRole('checkbox', { name: 'Replies' });
  await user.type(of('Replies').getByRole('textbox', { name: 'One of them is called' }), ' by post');
  await user.click(tick);
  expect(of('Replies').queryByRole('textbox')).toBeNull();
  await user.click(tick);
  expect(of('Replies').getByRole<HTMLInputElement>('textbox', { name: 'One of them is called' }).value).toBe(
    'Enquiry by post',
  );
});
