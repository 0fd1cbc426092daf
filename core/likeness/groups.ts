/** Things joined two by two into groups (disjoint sets with path halving; Tarjan and van Leeuwen 1984). */
export class Groups<Thing> {
  private readonly above = new Map<Thing, Thing>();

  /** Makes the groups of two things one. */
  join(a: Thing, b: Thing): void {
    const [top, other] = [this.top(a), this.top(b)];
    this.above.set(top, top);
    this.above.set(other, top);
  }

  /** Whether two things are in one group; a thing is with itself. */
  areOne(a: Thing, b: Thing): boolean {
    return this.top(a) === this.top(b);
  }

  /** All groups of two and more, the largest first, each in the order in which its things came. */
  all(): Thing[][] {
    const groups = new Map<Thing, Thing[]>();
    for (const thing of this.above.keys()) {
      const top = this.top(thing);
      const group = groups.get(top);
      if (group) group.push(thing);
      else groups.set(top, [thing]);
    }
    return [...groups.values()].filter(({ length }) => length > 1).sort((a, b) => b.length - a.length);
  }

  private top(thing: Thing): Thing {
    let at = thing;
    for (;;) {
      const above = this.above.get(at);
      if (above === undefined || above === at) return at;
      const higher = this.above.get(above)!;
      this.above.set(at, higher);
      at = higher;
    }
  }
}
