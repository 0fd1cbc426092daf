import { useOwnUses } from '../api';

const DAYS = 14;

/** What the bank and the glossaries saved oneself, by day: characters the reader sees less every key pressed for them. */
export function SavedPanel() {
  const days = useOwnUses().data?.days ?? [];
  const saved = days.map(({ day, times, shown, pressed }) => ({ day, times, saved: shown - pressed }));
  const total = saved.reduce((sum, one) => sum + one.saved, 0);
  return (
    <section aria-label="Keys saved">
      <h2 className="section-head">Keys saved</h2>
      {days.length === 0 ? (
        <p className="text-[14px] text-soft">Nothing yet: take an offer, or type a cue.</p>
      ) : (
        <>
          <p className="font-book text-[22px]">{total.toLocaleString()}</p>
          <p className="text-[13px] text-soft">
            Characters that came from the bank, less every key you pressed to place, fill and change them.
            Only you see this.
          </p>
          <table className="mt-2 w-full text-[13.5px]">
            <thead>
              <tr className="text-left text-soft">
                <th className="font-medium">Day</th>
                <th className="text-right font-medium">Placed</th>
                <th className="text-right font-medium">Keys saved</th>
              </tr>
            </thead>
            <tbody>
              {saved.slice(0, DAYS).map((one) => (
                <tr key={one.day} className="border-t border-hair">
                  <td>
                    {new Date(`${one.day}T12:00`).toLocaleDateString(undefined, { dateStyle: 'medium' })}
                  </td>
                  <td className="text-right">{one.times.toLocaleString()}</td>
                  <td className="text-right">{one.saved.toLocaleString()}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}
