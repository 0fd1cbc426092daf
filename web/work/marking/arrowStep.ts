/** By so many points an arrow steps on a page of usual size; with Shift by one. */
const GRID = 9;

/** How far an arrow steps, to the right and down, in points; null for any other key. `unit`: of the page, which is stepped over as quickly when it is large. */
export function arrowStep(
  { key, shiftKey }: { key: string; shiftKey: boolean },
  unit: number,
): [dx: number, dy: number] | null {
  const step = shiftKey ? 1 : GRID * unit;
  const steps: Record<string, [number, number]> = {
    ...{ ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] },
  };
  return steps[key] ?? null;
}
