import { Link } from 'react-router';
import type { ClassLine } from '@core/report/class-results';
import { StepStrip } from './step-strip';

const STATES: Record<ClassLine['state'], { sign: string; tone: string }> = {
  'not started': { sign: '○', tone: 'text-ink-soft' },
  'at it': { sign: '●', tone: 'text-water font-medium' },
  paused: { sign: '◐', tone: 'text-sedge' },
  'handed in': { sign: '◆', tone: 'text-reed' },
  done: { sign: '◆', tone: 'text-reed font-medium' },
};

const NUMBER = 'text-right font-mono whitespace-nowrap';
/** With a unit as long as J g⁻¹ K⁻¹ it takes a second line rather than its neighbour's room. */
const WITH_UNIT = 'text-right font-mono';

function HeldAgainst({ truth, className }: { truth: string; className: string }) {
  return (
    <span className={className} title={truth ? `Held against ${truth}` : undefined}>
      {truth && <span className="sr-only">held against </span>}
      {truth}
    </span>
  );
}

/** Everything that was handed in and judged: what was given, what it was held against, how far off, and the verdict. */
function Items({ items }: { items: ClassLine['items'] }) {
  return items.map((item) => {
    const isNumber = item.difference !== null;
    return (
      <div
        key={item.key}
        className="grid grid-cols-[8.5rem_minmax(6rem,8.4rem)_minmax(6rem,8.4rem)_5.4rem_6.8rem] gap-x-2"
      >
        <span className="text-ink-soft truncate" title={item.label}>
          {item.label}
        </span>
        {isNumber ? (
          <>
            <span className={WITH_UNIT}>{item.answer}</span>
            <HeldAgainst truth={item.truth} className={`text-ink-soft ${WITH_UNIT}`} />
            <span className={NUMBER}>{item.difference}</span>
          </>
        ) : (
          <>
            <span className={`truncate ${item.isGood ? 'col-span-3' : ''}`} title={item.answer}>
              {item.answer}
            </span>
            {!item.isGood && <HeldAgainst truth={item.truth} className="text-ink-soft col-span-2 truncate" />}
          </>
        )}
        <span className={item.isGood ? '' : 'text-rust'}>{item.verdict}</span>
      </div>
    );
  });
}

function Row({ line, allowed, samples }: { line: ClassLine; allowed: number; samples: number }) {
  const { sign, tone } = STATES[line.state];
  return (
    <tr className={line.rank > 1 ? '[&>td]:!border-transparent' : ''}>
      {line.rank === 1 && (
        <th scope="row" rowSpan={samples} className="align-top font-medium">
          <bdi>
            {samples === 1 && line.runId ? <Link to={`/prep/runs/${line.runId}`}>{line.name}</Link> : line.name}
          </bdi>
        </th>
      )}
      {samples > 1 && (
        <td className="whitespace-nowrap">
          {line.runId ? <Link to={`/prep/runs/${line.runId}`}>{line.title}</Link> : line.title}
        </td>
      )}
      <td className={`whitespace-nowrap ${tone}`}>
        <span aria-hidden>{sign}</span> {line.state}
        {line.handIns > 0 && ` (${line.handIns} of ${allowed})`}
      </td>
      <td>
        <StepStrip steps={line.steps} />
      </td>
      <td className="font-mono">{line.sampleNumber}</td>
      <td>{line.truth.join(', ')}</td>
      <td>
        <Items items={line.items} />
      </td>
      <td className="font-mono text-xs">{line.results.join(', ')}</td>
    </tr>
  );
}

const HEAD = [
  'State',
  'Steps',
  'Sample',
  'What it is',
  'Handed in, and what it was held against',
  'Results that count',
];

/** A row for each sample of each student, live. */
export function ClassRows({
  table,
  allowed,
  samples,
}: {
  table: readonly ClassLine[];
  allowed: number;
  samples: number;
}) {
  return (
    <div className="class-table overflow-x-auto" tabIndex={0} role="region" aria-label="Class table">
      <table className="[&_td]:border-line [&_tbody_th]:border-line w-full border-collapse text-sm [&_tbody_th]:border-t [&_tbody_th]:whitespace-nowrap [&_td]:border-t [&_td]:px-2 [&_td]:py-[3px] [&_td]:align-top [&_th]:px-2 [&_th]:py-[3px] [&_th]:text-left">
        <thead className="bg-paper sticky top-0">
          <tr>
            {['Student', ...(samples > 1 ? ['Asked of'] : []), ...HEAD].map((cell) => (
              <th key={cell} scope="col" className="text-ink-soft">
                {cell}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.map((line) => (
            <Row key={`${line.studentId} ${line.place}`} line={line} allowed={allowed} samples={samples} />
          ))}
        </tbody>
      </table>
    </div>
  );
}
