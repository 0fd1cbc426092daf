import type { WaitingAct } from '#client/atHand';

const counted = (count: number, one: string, many: string) =>
  count === 1 ? `One ${one}` : `${count} ${many}`;

/** How much waits, as the beginning of a sentence: "2 leaves and one entry wait". */
export function waitingInWords(acts: readonly Pick<WaitingAct, 'kind' | 'refused'>[]): string {
  const waiting = acts.filter(({ refused }) => refused === null);
  const of = (kind: WaitingAct['kind']) => waiting.filter((act) => act.kind === kind).length;
  const parts = [
    ...(of('leaf') > 0 ? [counted(of('leaf'), 'leaf', 'leaves')] : []),
    ...(of('entry') > 0 ? [counted(of('entry'), 'entry', 'entries')] : []),
  ];
  const words = parts.map((part, at) => (at === 0 ? part : part.replace('One', 'one'))).join(' and ');
  return `${words} ${waiting.length === 1 ? 'waits' : 'wait'}`;
}
