import { fixed, significant } from '@core/analysis/quantity';
import type { Moved } from '@core/report/moved';

/** Shares smaller than this part of the true value are told together; where it is told in its unit, than this part of the largest. */
const SMALL = 0.0002;
const SMALL_OF_LARGEST = 0.005;

const signed = (value: number, text: (size: number) => string) => `${value >= 0 ? '+' : '−'}${text(Math.abs(value))}`;

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

/** A share as it is told: in percent of the true value, or in the unit where a percent of it says nothing. */
function tellerOf({ trueValue, unit, inUnit }: Pick<Moved, 'trueValue' | 'unit' | 'inUnit'>) {
  if (inUnit) return (share: number) => `${signed(share, (size) => significant(size, 2))} ${unit}`.trim();
  return (share: number) => `${signed((100 * share) / Math.abs(trueValue), (size) => fixed(size, 2))} %`;
}

/** What is too small to be told by itself. */
function leastOf({ trueValue, inUnit, shares, rest }: Moved): number {
  if (!inUnit) return SMALL * Math.abs(trueValue);
  return SMALL_OF_LARGEST * Math.max(Math.abs(rest), ...shares.map(({ share }) => Math.abs(share)));
}

const inside = (label: string) => `${label.charAt(0).toLowerCase()}${label.slice(1)}`;

/** How far it is off, and what moved it most: be that something that no known cause accounts for. */
export function sentenceOn(moved: Moved): string {
  const { value, trueValue, unit, inUnit, together, rest } = moved;
  const tell = tellerOf(moved);
  const off = value - trueValue;
  const size = inUnit ? tell(Math.abs(off)).slice(1) : `${fixed(Math.abs((100 * off) / trueValue), 2)} %`;
  const isOn = inUnit ? off === 0 : Math.abs(off / trueValue) < 0.00005;
  const number = `${significant(value, 4)} ${unit}`.trim();
  const place = isOn
    ? inUnit
      ? 'is the true value'
      : 'is the true value to a hundredth of a percent'
    : `lies ${size} ${off > 0 ? 'above' : 'below'} the true value`;
  const [first] = moved.shares;
  const least = leastOf(moved);
  if (together && Math.abs(rest) > Math.max(least, Math.abs(first?.share ?? 0)))
    return `${number} ${place}. Most of that, ${tell(rest)}, comes from no cause that Fen knows.`;
  if (!first || Math.abs(first.share) < least) return `${number} ${place}.`;
  return `${number} ${place}. What moved it most: ${inside(first.label)}, ${tell(first.share)}.`;
}

function OneMoved({ moved }: { moved: Moved }) {
  const { shares, together, rest, value, trueValue, fromReadings } = moved;
  if (fromReadings === null)
    return (
      <p>{moved.label}: the readings in your notebook reach no result, so nothing can be said of what moved it.</p>
    );
  const tell = tellerOf(moved);
  const least = leastOf(moved);
  const isTold = ({ share }: { share: number }) => Math.abs(share) >= least;
  const told = shares.filter(isTold);
  const pairs = (together ?? []).filter(isTold);
  const small = [...shares, ...(together ?? [])].filter((one) => !isTold(one));
  const smallSum = small.reduce((sum, { share }) => sum + share, 0);
  const most = Math.max(Math.abs(rest), ...[...told, ...pairs].map(({ share }) => Math.abs(share)));
  const line = (key: string, label: string, share: number, soft = false) => (
    <tr key={key}>
      <th scope="row" className="font-normal">
        {label}
      </th>
      <td className="w-[34%]">
        <Bar part={share} most={most} soft={soft} />
      </td>
      <td className="num">{tell(share)}</td>
    </tr>
  );
  return (
    <div className="mb-5" data-testid={`moved-${moved.key}`}>
      <h4 className="text-ink-soft">{moved.label}</h4>
      <p className="mb-2">{sentenceOn(moved)}</p>
      <table className="[&_tr]:border-line w-full border-collapse text-sm [&_.num]:text-right [&_.num]:font-mono [&_.num]:whitespace-nowrap [&_td]:px-2 [&_td]:py-[2px] [&_th]:py-[2px] [&_th]:text-left [&_tr]:border-t">
        <tbody>
          {told.map(({ key, label, share }) => line(key, label, share))}
          {pairs.map(({ labels, share }) =>
            line(labels.join(), `Both at once: ${inside(labels[0])}; ${inside(labels[1])}`, share),
          )}
          {small.length > 0 &&
            line('small', `${small.length} more, each below ${tell(least).slice(1)}`, smallSum, true)}
          {line('rest', together ? 'Left over: no known cause accounts for it' : 'Left over', rest, true)}
          <tr className="!border-ink !border-t-2">
            <th scope="row">All together</th>
            <td className="text-ink-soft text-xs">
              the readings alone come to {significant(fromReadings, 4)} {moved.unit}
            </td>
            <td className="num font-semibold">{tell(value - trueValue)}</td>
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
