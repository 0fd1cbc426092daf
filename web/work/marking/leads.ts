import { markingPoints, type MarkingOn, type PagePoint } from '#core/passage';

/** How large the head of an arrow and the hooks of a bracket are, in points. */
const HEAD = 6;

/**
 * Lines that lead from a marking to a point, each a run of points: to it, and the head of an arrow or the hooks of a bracket at its ends.
 * `unit`: of the page.
 */
export function leadLines(from: PagePoint, to: PagePoint, as: 'arrow' | 'bracket', unit = 1): PagePoint[][] {
  const size = HEAD * unit;
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  if (as === 'arrow') {
    const side = (sign: 1 | -1): PagePoint => ({
      x: to.x - size * ux + sign * size * 0.5 * uy,
      y: to.y - size * uy - sign * size * 0.5 * ux,
    });
    return [
      [from, to],
      [side(1), to, side(-1)],
    ];
  }
  const hook = ({ x, y }: PagePoint): PagePoint => ({ x: x - size * uy, y: y + size * ux });
  return [[hook(from), from, to, hook(to)]];
}

/** Where the line of a marking begins: before the middle of its first line. */
export const leadFrom = (marking: Pick<MarkingOn, 'at' | 'size'>, unit = 1): PagePoint => ({
  x: marking.at.x - 2 * unit,
  y: marking.at.y + markingPoints(marking, unit) * 0.65,
});
