import type { ReactNode } from 'react';
import { Mark } from '../shell';

/** The leaf of every page for someone who is not signed in. */
export function FrontLeaf({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto grid min-h-screen max-w-md content-center px-6 py-10">
      <div className="leaf-page p-8">
        <p className="flex items-center gap-2 font-book text-xl font-semibold text-elder">
          <Mark /> Elderleaf
        </p>
        <h1 className="mt-5 font-book text-[26px] leading-tight">{title}</h1>
        {children}
      </div>
    </main>
  );
}
