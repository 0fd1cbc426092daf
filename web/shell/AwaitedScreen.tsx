import { Failed, Loading } from '../ui';
import { Figure } from './Figure';

interface Props {
  /** What the screen is called until it is there. */
  title: string;
  /** What is awaited: "the glossary". */
  what: string;
  /** What asks for it. */
  query: { isError: boolean; error: unknown; refetch: () => unknown };
}

/** A whole screen whose matter is awaited, or could not be loaded: in its place already, and with its name. */
export const AwaitedScreen = ({ title, what, query }: Props) => (
  <Figure marginLabel="Margin" margin={null}>
    <h1 data-awaited className="px-9 pt-6 font-book text-[26px] leading-tight max-[899px]:px-4">
      {title}
    </h1>
    {query.isError ? (
      <Failed what={what} error={query.error} retry={() => void query.refetch()} />
    ) : (
      <Loading what={what} />
    )}
  </Figure>
);
