interface Due {
  timer: ReturnType<typeof setTimeout>;
  keep: () => Promise<void>;
}

/** What is known in this window and is to be kept in a moment, by path. */
const due = new Map<string, Due>();

/** Keeps something under a path after so many milliseconds, in place of what was to be kept there. */
export function keepLater(path: string, ms: number, keep: () => Promise<void>): void {
  clearTimeout(due.get(path)?.timer);
  due.set(path, { timer: setTimeout(() => void keepDue(path), ms), keep });
}

/** Keeps what is to be kept under a path at once: before it is read, what is kept is as this window knows it. */
export async function keepDue(path: string): Promise<void> {
  const one = due.get(path);
  if (!one) return;
  clearTimeout(one.timer);
  due.delete(path);
  await one.keep();
}

/** Keeps all that is to be kept: the page goes. */
export function keepAllDue(): void {
  for (const path of [...due.keys()]) void keepDue(path);
}
