/** How far the letters of a large batch are filled in. */
export const FillingIn = ({ done }: { done: number }) => (
  <p role="status" className="px-9 py-8 text-soft max-[899px]:px-4">
    Filling in letters … {done.toLocaleString()}
  </p>
);
