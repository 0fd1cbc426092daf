/** Draws a line around a box of the page, without touching it. */
export function Outlined({ element }: { element: HTMLElement }) {
  const { left, top, width, height } = element.getBoundingClientRect();
  return (
    <div
      className="outlined"
      style={{ left: left - 3, top: top - 3, width: width + 6, height: height + 6 }}
      aria-hidden
    />
  );
}
