import { useQuery } from '@tanstack/react-query';
import { MOST_LINES_AT_ONCE, type LineChange, type Tray, type TrayLine } from '#contracts';
import { call } from '#client/api';
import { keepAnew } from '#client/atHand';
import type { TraySetup } from '#core/naming';
import { askOnItsWayAgain, KEYS, queryClient, useMergedSetup } from '../../api';

/** A tray with its lines, as the server has it. */
export const useTray = (of: string) =>
  useQuery({ queryKey: KEYS.tray(of), queryFn: () => call('tray', { params: { case: of } }) });

/** What was answered in earlier names. */
export const useSaidBefore = () =>
  useQuery({ queryKey: KEYS.saidBefore, queryFn: () => call('saidBefore'), staleTime: 60_000 });

/** Shows lines as they are now, those that are new behind the others. `gone`: those that were taken out. */
export function putLines(
  of: string,
  changed: readonly TrayLine[],
  gone: ReadonlySet<string> = new Set(),
): void {
  const byId = new Map(changed.map((line) => [line.id, line]));
  queryClient.setQueryData<Tray>(KEYS.tray(of), (tray) => {
    if (!tray) return tray;
    const lines = tray.lines.flatMap((line) => {
      const now = byId.get(line.id) ?? line;
      byId.delete(line.id);
      return gone.has(line.id) ? [] : [now];
    });
    return { ...tray, lines: [...lines, ...byId.values()] };
  });
}

/** A line as this page knows it. */
export const lineNow = (of: string, id: string): TrayLine | undefined =>
  queryClient.getQueryData<Tray>(KEYS.tray(of))?.lines.find((line) => line.id === id);

/** Shows of a line what the server will have in a moment: the news of it is then no news here. */
export function foreseeLine(of: string, id: string, change: Partial<TrayLine>): void {
  const line = lineNow(of, id);
  if (line) putLines(of, [{ ...line, ...change }]);
}

/** Sends changes of lines, many in parts. Throws what the server answers; what is shown is then asked for again. */
export async function changeLines(of: string, changes: readonly LineChange[]): Promise<void> {
  try {
    await sendChanges(of, changes);
  } catch (error) {
    void queryClient.invalidateQueries({ queryKey: KEYS.tray(of) });
    throw error;
  }
}

async function sendChanges(of: string, changes: readonly LineChange[]): Promise<void> {
  for (let at = 0; at < changes.length; at += MOST_LINES_AT_ONCE) {
    const part = changes.slice(at, at + MOST_LINES_AT_ONCE);
    const { lines } = await call('changeTrayLines', { params: { case: of }, body: { changes: part } });
    putLines(of, lines, new Set(part.filter(({ drop }) => drop).map(({ line }) => line)));
    askOnItsWayAgain(KEYS.tray(of));
  }
  keepAnew(`/api/cases/${encodeURIComponent(of)}/tray`, () => queryClient.getQueryData(KEYS.tray(of)));
}

/** Keeps how files are named, seen at once. */
export const useSetupChange = (of: string) =>
  useMergedSetup<TraySetup>(KEYS.tray(of), {
    read: () => call('tray', { params: { case: of } }),
    send: (setup, version) => call('keepTray', { params: { case: of }, version, body: { setup } }),
  });
