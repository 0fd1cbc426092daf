import { createPortal } from 'react-dom';
import { beneath } from './surface';

/** Draws a line around a box of the page, without touching it. */
export function Outlined({ element }: { element: HTMLElement }) {
  if (!beneath.element) return null;
  const { left, top, width, height } = element.getBoundingClientRect();
  const style = { left: left - 3, top: top - 3, width: width + 6, height: height + 6 };
  return createPortal(<div className="outlined" style={style} aria-hidden />, beneath.element);
}
