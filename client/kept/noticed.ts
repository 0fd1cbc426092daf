/** Something that is so or not, for who wants to know when that changes. */
export class Noticed {
  private readonly told = new Set<() => void>();

  constructor(private isSo: boolean) {}

  /** Whether it is so now. */
  get now(): boolean {
    return this.isSo;
  }

  /** Has `changed` called whenever it changes. Gives what ends that. */
  on(changed: () => void): () => void {
    this.told.add(changed);
    return () => void this.told.delete(changed);
  }

  /** Notes whether it is so; who wants to know is told where that is new. */
  note(isSo: boolean): void {
    if (isSo === this.isSo) return;
    this.isSo = isSo;
    for (const tell of this.told) tell();
  }
}
