/** The mark: a leaf of the elder, five leaflets on a stalk, in the colours of the theme. */
export const Mark = ({ size = 22 }: { size?: number }) => (
  <svg viewBox="0 0 32 32" width={size} height={size} aria-hidden>
    <path
      d="M16 31V9M16 15L9.5 11.5M16 15l6.5-3.5M16 23.5L8.5 21M16 23.5L23.5 21"
      fill="none"
      stroke="var(--color-elder)"
      strokeWidth="1.5"
      strokeLinecap="round"
    />
    <path
      d="M16 1c3.3 2.8 4 6.8 0 11-4-4.2-3.3-8.2 0-11ZM2.5 6c4.3-.4 7.1 1.6 8.2 6.4C6.3 13.1 3.4 11 2.5 6ZM29.5 6c-4.3-.4-7.1 1.6-8.2 6.4 4.4.7 7.3-1.4 8.2-6.4ZM1.5 17c4-1.6 7.2-.6 9.2 3.7-3.9 2.3-7.2 1.1-9.2-3.7ZM30.5 17c-4-1.6-7.2-.6-9.2 3.7 3.9 2.3 7.2 1.1 9.2-3.7Z"
      fill="var(--color-leaf)"
    />
  </svg>
);
