/** Seconds as a clock shows them, in hours, minutes and whole seconds: 753.4 is "00:12:33". */
export function clockTime(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  const two = (part: number) => String(part).padStart(2, '0');
  return [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60].map(two).join(':');
}
