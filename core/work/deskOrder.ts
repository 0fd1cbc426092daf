/** What of a case decides where it stands on the desk. */
interface OnDesk {
  openedAt: string;
  draft: { state: 'open' | 'finished' } | null;
}

const RANK = { open: 0, none: 1, finished: 2 };
const rankOf = ({ draft }: OnDesk) => RANK[draft?.state ?? 'none'];

/** Orders cases as the desk shows them: what is unfinished, then what is not begun, then what is finished; of each the newest first. */
export const byNeed = (a: OnDesk, b: OnDesk): number =>
  rankOf(a) - rankOf(b) || b.openedAt.localeCompare(a.openedAt);
