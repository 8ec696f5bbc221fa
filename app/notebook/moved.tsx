import { fixed, significant } from '@core/analysis/quantity';
import type { Moved } from '@core/report/moved';

/** Shares smaller than this part of the true value are told together. */
const SMALL = 0.0002;

const signed = (value: number, decimals: number) => `${value >= 0 ? '+' : '−'}${fixed(Math.abs(value), decimals)}`;

/** Length of the longest bar to either side, in the units of its drawing. */
const HALF = 100;

/** One share as a bar from the middle: to the right what made the value larger, to the left what made it smaller. */
function Bar({ part, most, soft = false }: { part: number; most: number; soft?: boolean }) {
  const length = most > 0 ? (HALF * Math.abs(part)) / most : 0;
  return (
    <svg viewBox={`${-HALF - 2} 0 ${2 * HALF + 4} 12`} className="h-3 w-full min-w-24" aria-hidden>
      <line x1={0} x2={0} y1={0} y2={12} className="stroke-line-strong" strokeWidth={1} />
      <rect
        x={part < 0 ? -length : 0}
        y={2}
        width={length}
        height={8}
        className={soft ? 'fill-line-strong' : part < 0 ? 'fill-water' : 'fill-heather'}
      />
    </svg>
  );
}

function sentenceOn(moved: Moved): string {
  const off = (100 * (moved.value - moved.trueValue)) / moved.trueValue;
  const [first] = moved.shares;
  const size = Math.abs(off);
  const place =
    size < 0.005
      ? 'is the true value to a hundredth of a percent'
      : `lies ${fixed(size, 2)} % ${off > 0 ? 'above' : 'below'} the true value`;
  if (!first || Math.abs(first.share / moved.trueValue) < SMALL)
    return `${significant(moved.value, 4)} ${moved.unit} ${place}.`;
  const part = (100 * first.share) / moved.trueValue;
  return `${significant(moved.value, 4)} ${moved.unit} ${place}. What moved it most: ${first.label.charAt(0).toLowerCase()}${first.label.slice(1)}, ${signed(part, 2)} %.`;
}

function OneMoved({ moved }: { moved: Moved }) {
  const part = (share: number) => share / moved.trueValue;
  const told = moved.shares.filter(({ share }) => Math.abs(part(share)) >= SMALL);
  const small = moved.shares.filter(({ share }) => Math.abs(part(share)) < SMALL);
  const together = small.reduce((sum, { share }) => sum + share, 0);
  const total = moved.value - moved.trueValue;
  const most = Math.max(Math.abs(part(moved.rest)), ...told.map(({ share }) => Math.abs(part(share))));
  if (moved.fromReadings === null)
    return (
      <p>{moved.label}: the readings in your notebook reach no result, so nothing can be said of what moved it.</p>
    );
  const line = (key: string, label: string, share: number, soft = false) => (
    <tr key={key}>
      <th scope="row" className="font-normal">
        {label}
      </th>
      <td className="w-[34%]">
        <Bar part={part(share)} most={most} soft={soft} />
      </td>
      <td className="num">{signed(100 * part(share), 2)} %</td>
    </tr>
  );
  return (
    <div className="mb-5" data-testid={`moved-${moved.key}`}>
      <h4 className="text-ink-soft">{moved.label}</h4>
      <p className="mb-2">{sentenceOn(moved)}</p>
      <table className="[&_tr]:border-line w-full border-collapse text-sm [&_.num]:text-right [&_.num]:font-mono [&_.num]:whitespace-nowrap [&_td]:px-2 [&_td]:py-[2px] [&_th]:py-[2px] [&_th]:text-left [&_tr]:border-t">
        <tbody>
          {told.map(({ key, label, share }) => line(key, label, share))}
          {small.length > 0 && line('small', `${small.length} more causes, each below 0.02 %`, together, true)}
          {line(
            'rest',
            told.length > 1 ? 'Left over: causes that act on one another' : 'Left over, unexplained',
            moved.rest,
            true,
          )}
          <tr className="!border-ink !border-t-2">
            <th scope="row">All together</th>
            <td className="text-ink-soft text-xs">
              the readings alone come to {significant(moved.fromReadings, 4)} {moved.unit}
            </td>
            <td className="num font-semibold">{signed(100 * part(total), 2)} %</td>
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** What moved the numbers of a report: each cause with its share, found by doing the run again without it. */
export function WhatMoved({ moved }: { moved: readonly Moved[] }) {
  if (moved.length === 0) return null;
  return (
    <section aria-label="What moved the result" className="my-5">
      <h3 className="mb-1 font-serif text-lg">What moved the result</h3>
      <p className="text-ink-soft mb-3 max-w-[60ch] text-sm">
        The same acts were done again on the same bench, each time with one cause of error switched off. Bars to the
        right made the value larger, bars to the left smaller.
      </p>
      {moved.map((entry) => (
        <OneMoved key={entry.key} moved={entry} />
      ))}
    </section>
  );
}
