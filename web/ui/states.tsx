import { inWords } from '#client/api';
import { Button } from './Button';
import { Notice } from './Notice';

/** Shown while something is fetched; says nothing for the first moment, so that quick answers do not flicker. */
export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="state appear-late text-soft">
      Loading {what} …
    </p>
  );
}

/** Shown when something could not be fetched: what happened, and a way to try again. */
export function Failed({ what, error, retry }: { what: string; error: unknown; retry: () => void }) {
  return (
    <div className="state">
      <Notice tone="warning" title={`Could not load ${what}.`}>
        <p>{inWords(error)}</p>
        <Button className="mt-2" onClick={retry}>
          Try again
        </Button>
      </Notice>
    </div>
  );
}
