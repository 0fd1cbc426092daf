import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { dateInWords } from '#core/calendar';
import type { Measurement } from '#core/record';

const locale = navigator.language;
const GRAMS: Record<string, number> = { mg: 0.001, g: 1, kg: 1000 };

/** Day number, so that the distance between two weighings shows. */
const dayNumber = (date: string) => Date.parse(`${date}T00:00:00Z`) / 86_400_000;
const short = (day: number) =>
  new Date(day * 86_400_000).toLocaleDateString(locale, { day: 'numeric', month: 'short', timeZone: 'UTC' });

/** Weights over time as a line, with the same figures in a table for those who read rather than look. */
export function WeightChart({ weights }: { weights: Measurement[] }) {
  const ordered = [...weights].sort(
    (a, b) => a.measured.localeCompare(b.measured) || (a.minute ?? 0) - (b.minute ?? 0),
  );
  const unit = ordered.at(-1)!.unit;
  const points = ordered.map((weight) => ({
    day: dayNumber(weight.measured),
    // In the unit of the latest weighing, when some were noted in another.
    value: (weight.value * (GRAMS[weight.unit] ?? 1)) / (GRAMS[unit] ?? 1),
  }));
  return (
    <figure>
      {points.length > 1 && (
        <div aria-hidden className="h-16">
          <ResponsiveContainer width="100%" height="100%">
            <LineChart
              data={points}
              accessibilityLayer={false}
              margin={{ top: 6, right: 10, bottom: 0, left: -14 }}
            >
              <CartesianGrid vertical={false} stroke="var(--color-hair)" />
              <XAxis
                dataKey="day"
                type="number"
                domain={['dataMin', 'dataMax']}
                ticks={[points[0]!.day, points.at(-1)!.day]}
                tickFormatter={short}
                tick={{ fontSize: 11, fill: 'var(--color-soft)' }}
                stroke="var(--color-hair)"
              />
              <YAxis
                width={52}
                domain={['auto', 'auto']}
                tickCount={3}
                tick={{ fontSize: 11, fill: 'var(--color-soft)' }}
                stroke="var(--color-hair)"
              />
              <Tooltip
                labelFormatter={(day) => short(Number(day))}
                formatter={(value) => [`${String(value)} ${unit}`, 'Weight']}
              />
              <Line
                dataKey="value"
                stroke="var(--color-leaf)"
                strokeWidth={1.75}
                dot={{ r: 2.5 }}
                isAnimationActive={false}
              />
            </LineChart>
          </ResponsiveContainer>
        </div>
      )}
      <table className="sr-only">
        <caption>Weights over time</caption>
        <tbody>
          {ordered.map((weight) => (
            <tr key={`${weight.measured} ${weight.minute}`}>
              <th scope="row">{dateInWords(weight.measured, 'long', locale)}</th>
              <td>
                {weight.value} {weight.unit}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <figcaption className="text-[13px] text-soft">
        {ordered[0]!.value} {ordered[0]!.unit} at first, now {ordered.at(-1)!.value} {unit}
      </figcaption>
    </figure>
  );
}
