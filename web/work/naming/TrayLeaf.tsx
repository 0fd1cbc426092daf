export function TrayLeaf({ id }: { id: string }) {
  return <p>{id}</p>;
}
