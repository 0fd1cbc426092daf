import { isRouteErrorResponse, Link, useRouteError } from 'react-router';

/** An address that leads nowhere, or a screen that broke. */
export function NothingHere() {
  const error = useRouteError();
  const broke = Boolean(error) && !(isRouteErrorResponse(error) && error.status === 404);
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="font-book text-2xl">
        {broke ? 'Something went wrong on this page' : 'There is nothing here'}
      </h1>
      <p className="mt-2 text-soft">
        {broke
          ? 'What was saved is safe, and what you were writing is on this computer. Reload the page to go on.'
          : 'The address may be mistyped, or it leads to something you were not given.'}
      </p>
      <Link to="/" reloadDocument={broke} className="mt-4 inline-block text-elder underline">
        Go to your desk
      </Link>
    </main>
  );
}
