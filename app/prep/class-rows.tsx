import { Link } from 'react-router';
import type { ClassLine } from '@core/report/class-results';
import { unbroken } from '@app/ui/unbroken';
import { StepStrip } from './step-strip';

const STATES: Record<ClassLine['state'], { sign: string; tone: string }> = {
  'not started': { sign: '○', tone: 'text-ink-soft' },
  'at it': { sign: '●', tone: 'text-water font-medium' },
  paused: { sign: '◐', tone: 'text-sedge' },
  'handed in': { sign: '◆', tone: 'text-reed' },
  done: { sign: '◆', tone: 'text-reed font-medium' },
};

const NUMBER = 'text-right font-mono whitespace-nowrap';
/** A number, and its unit in letters that take less room. */
function Amount({ text, before = '', className }: { text: string; before?: string; className: string }) {
  const [, number = text, unit = ''] = /^(\S+)(?: (.*))?$/.exec(text) ?? [];
  return (
    <span className={`truncate text-right ${className}`} title={`${before}${text}`}>
      {before && <span className="sr-only">{before}</span>}
      <span className="font-mono">{number}</span>
      {unit && <span className="text-xs"> {unit}</span>}
    </span>
  );
}

/** Everything that was handed in and judged: what was given, what it was held against, how far off, and the verdict. */
function Items({ items }: { items: ClassLine['items'] }) {
  return items.map((item) => {
    const isNumber = item.difference !== null;
    return (
      <div key={item.key} className="grid grid-cols-[7.5rem_6.9rem_6.9rem_4.8rem_6.9rem] gap-x-2">
        <span className="text-ink-soft truncate" title={item.label}>
          {item.label}
        </span>
        {isNumber ? (
          <>
            <Amount text={item.answer} className="" />
            <Amount text={item.truth} before="held against " className="text-ink-soft" />
            <span className={NUMBER}>{item.difference}</span>
          </>
        ) : (
          <>
            <span
              className={`truncate ${item.isGood || item.amiss ? 'col-span-3' : ''}`}
              title={item.amiss || item.answer}
            >
              {item.answer}
            </span>
            {!item.isGood && !item.amiss && (
              <span className="text-ink-soft col-span-2 truncate" title={`held against ${item.truth}`}>
                {item.truth && <span className="sr-only">held against </span>}
                {item.truth}
              </span>
            )}
          </>
        )}
        <span className={`truncate ${item.isGood ? '' : 'text-rust'}`} title={item.verdict}>
          {item.verdict}
        </span>
      </div>
    );
  });
}

/** Two lines of what can be long; all of it stands in the look at the run. */
const Clipped = ({ text, className }: { text: string; className: string }) => (
  <span className={`line-clamp-2 ${className}`} title={text}>
    {unbroken(text)}
  </span>
);

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
      <td>
        <Clipped text={line.truth.join(', ')} className="w-32" />
      </td>
      <td>
        <Items items={line.items} />
      </td>
      <td>
        <Clipped text={line.results.join(', ')} className="w-28 text-xs" />
      </td>
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
