import type { BringingBack, BroughtBack, Step } from '#contracts';
import type { DoneToMany } from '#client/acts';
import { call } from '#client/api';

/** The most entries that a step may name. */
const MOST_IN_STEP = 5000;

function pieces<T>(all: readonly T[]): T[][] {
  const some: T[][] = [];
  for (let at = 0; at < all.length; at += MOST_IN_STEP) some.push(all.slice(at, at + MOST_IN_STEP));
  return some;
}

/** The steps that take entries back to how they were before something was brought back. */
export const stepsBack = ({ reverts, back, deletions }: BroughtBack['undo']): Step[] => [
  ...pieces(reverts).map((entries) => ({ do: 'revert' as const, entries, reason: 'Undone' })),
  ...pieces(back).map((entries) => ({ do: 'delete' as const, entries })),
  ...deletions.map((deletion) => ({ do: 'restore' as const, deletion })),
];

const counted = (count: number, one: string, many: string) =>
  count === 0 ? [] : [count === 1 ? `1 ${one}` : `${count.toLocaleString()} ${many}`];

/** What was brought back, in words. */
export function broughtBackInWords({ entries, drafts, files, lostCues, undo }: BroughtBack): string {
  const all = [
    ...counted(entries, 'entry', 'entries'),
    ...counted(drafts, 'text', 'texts'),
    ...counted(files, 'file', 'files'),
  ];
  const said = all.length === 0 ? 'Nothing had to be brought back.' : `Brought back: ${all.join(', ')}.`;
  const since = undo.deletions.length > 0 ? ' What was added since is in the wastebasket.' : '';
  const cues = lostCues.map(({ cue }) => cue).join(', ');
  return `${said}${since}${cues && ` Without ${cues}: another entry has it by now.`}`;
}

/** Brings parts of a backup back; gives what was done, and what takes the entries back. */
export async function bringBackParts(asked: BringingBack): Promise<DoneToMany> {
  const came = await call('bringBack', { body: asked });
  return { said: broughtBackInWords(came), undo: stepsBack(came.undo) };
}
