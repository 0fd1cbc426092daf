import { Button } from '../../../ui';

interface Props {
  doubts: readonly string[];
  sendSo: () => void;
  letBe: () => void;
}

/** What is to be looked at before a letter goes: it stays, unless its writer wants it sent so. */
export const Doubtful = ({ doubts, sendSo, letBe }: Props) => (
  <section aria-label="Before it goes" role="alert" className="slip mb-5">
    <h2 className="section-head">Before it goes</h2>
    <ul className="mt-1 list-disc pl-5 text-[14.5px]">
      {doubts.map((doubt) => (
        <li key={doubt}>{doubt}</li>
      ))}
    </ul>
    <p className="mt-1 text-[13px] text-soft">It was not sent.</p>
    <div className="mt-3 flex gap-2">
      <Button autoFocus onClick={letBe}>
        Back to the letter
      </Button>
      <Button look="text" onClick={sendSo}>
        Send it so
      </Button>
    </div>
  </section>
);
