/** A key of the keyboard, named. */
export function Key({ children }: { children: string }) {
  return (
    <kbd className="rounded-[3px] border border-hair px-1 font-cue text-[11px] text-soft">{children}</kbd>
  );
}
