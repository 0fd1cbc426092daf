/** Whether a host is one that is left alone: named as it is, or within one that is named as `*.bank.example`. */
export function isLeftAlone(host: string, leftAlone: readonly string[]): boolean {
  const bare = host.replace(/:\d+$/, '');
  return leftAlone.some((name) => {
    if (!name.startsWith('*.')) return name === host || name === bare;
    return bare === name.slice(2) || bare.endsWith(name.slice(1));
  });
}
